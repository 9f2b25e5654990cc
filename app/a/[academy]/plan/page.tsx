import { redirect } from 'next/navigation';

export default async function Page({ params }: PageProps<'/a/[academy]/plan'>) {
  redirect(`/a/${(await params).academy}/plan/game`);
}
