export const dynamic = 'force-dynamic';

export { answerReading as POST } from '@/features/play/server/routes';
