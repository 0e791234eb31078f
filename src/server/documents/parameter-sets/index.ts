// A set and its keys on paper.
export { loadKeyDocument, loadSetDocument, type KeyDocument, type SetDocument } from './load';
