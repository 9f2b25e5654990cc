export const dynamic = 'force-dynamic';

export { answerErasure as GET, answerAskErasure as PUT } from '@/features/families/link-routes';
