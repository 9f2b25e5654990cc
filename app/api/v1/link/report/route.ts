export const dynamic = 'force-dynamic';

export { answerOwnReport as GET } from '@/features/play/server/routes';
