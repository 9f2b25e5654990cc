export const dynamic = 'force-dynamic';

export { answerAgain as POST, answerLink as GET } from '@/features/play/server/routes';
