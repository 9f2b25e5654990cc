export const dynamic = 'force-dynamic';

export { answerReport as GET } from '@/features/report/routes';
