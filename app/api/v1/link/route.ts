export const dynamic = 'force-dynamic';

export { answerLink as GET } from '@/features/play/server/routes';
