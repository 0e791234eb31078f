// The job report: gathered.
export { illustrated, loadReport } from './load';
