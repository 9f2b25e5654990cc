export { answerStart as POST } from '@/features/play/server/routes';
