import { Shell } from '@/features/shell/shell';
import { requireCoach } from '@/server/actor';

export default async function DeskLayout({ children, params }: LayoutProps<'/a/[academy]'>) {
  const { academy, userName } = await requireCoach((await params).academy);
  return (
    <Shell academy={academy} userName={userName}>
      {children}
    </Shell>
  );
}
