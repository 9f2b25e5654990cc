export const dynamic = 'force-dynamic';

export { answerHealth as GET } from '@/features/shell/services';
