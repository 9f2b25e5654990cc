export const dynamic = 'force-dynamic';

export { answerArchive as GET, answerArchiveIn as POST } from '@/features/archive/answer';
