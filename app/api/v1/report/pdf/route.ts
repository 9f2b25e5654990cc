export const dynamic = 'force-dynamic';

export { answerLinkedPdf as GET } from '@/features/report/routes';
