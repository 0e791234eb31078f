// In production our door hands these to the same functions itself (src/server/front/direct.ts).
export { getEntriesRoute as GET, postEntriesRoute as POST } from '@/server/logbook/entry-routes';
