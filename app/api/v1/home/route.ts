export const dynamic = 'force-dynamic';

export { answerHome as GET } from '@/features/play/server/routes';
