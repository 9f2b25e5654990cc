export const dynamic = 'force-dynamic';

export { answerInvitation as GET, answerJoin as POST } from '@/features/people/routes';
