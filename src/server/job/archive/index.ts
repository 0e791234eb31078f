// Jobs as open archives, out and in.
export { archiveOfJob } from './make';
export { heaviestArchive, takeIn } from './take-in';
