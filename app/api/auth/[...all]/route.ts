export { answerAuth as GET, answerAuth as POST } from '@/features/shell/services';
