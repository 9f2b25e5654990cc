import Link from 'next/link';
import { connection } from 'next/server';

export default async function NotFound() {
  await connection();
  return (
    <main className="container py-5">
      <h1>There is nothing here</h1>
      <p>The address may be mistyped, or belong to an academy that is not yours.</p>
      <Link href="/" className="btn btn-outline-dark">
        To Today
      </Link>
    </main>
  );
}
