// In production our door hands this to the same function itself (src/server/front/direct.ts).
export { newsRoute as GET } from '@/server/logbook/news-route';

export const dynamic = 'force-dynamic';
