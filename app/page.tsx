import { redirect } from 'next/navigation';
import { homeOf } from '@/db/queries/academies';
import { signedIn } from '@/server/actor';
import { database } from '@/server/db';

/** The way in: to one's academy, or to what comes before it. */
export default async function Home() {
  const user = await signedIn();
  if (!user) redirect('/sign-in');
  const slug = await homeOf(database(), user.id);
  redirect(slug ? `/a/${slug}` : '/begin');
}
