export const dynamic = 'force-dynamic';

export { answerEverythingByLink as GET } from '@/features/families/link-routes';
