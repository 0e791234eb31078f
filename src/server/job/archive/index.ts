// Jobs as open archives, out and in.
export { archiveOfJob } from './make';
export { heaviestArchive, takeIn, type TakenIn } from './take-in';
