// Jobs as open archives, out and in.
export { archiveOfJob } from './make';
export { heaviestArchive } from './read';
export { takeIn } from './take-in';
