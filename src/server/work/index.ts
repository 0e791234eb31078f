// Computing that takes a while, off the thread that answers.
export { letOthersFirst, niceness } from './niceness';
export { sharedPool } from './shared-pool';
export { threadBundle } from './thread-bundle';
export { workerPool, type WorkerPool, type WorkLoad } from './worker-pool';
