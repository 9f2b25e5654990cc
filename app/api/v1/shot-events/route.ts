export const dynamic = 'force-dynamic';

export { answerShotEvents as POST } from '@/features/play/server/routes';
