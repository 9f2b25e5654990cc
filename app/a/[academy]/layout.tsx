import { Desk } from '@/features/shell/desk';

export default async function Layout({ children, params }: LayoutProps<'/a/[academy]'>) {
  return <Desk slug={(await params).academy}>{children}</Desk>;
}
