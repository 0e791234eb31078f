// Editing the files of a drive type: forms from their schemas, places and changes, undo, versions compared.
export { isList, isRecord, valueAt, withValue, type Json, type JsonRecord, type Path } from './json';
export { begun, changed, redone, undone, type History } from './history';
export { blankOf, formOf, labelOf, titleOf, variantOf, type Form, type Schema } from './form';
export { changesBetween, type Change } from './compare';
export { asOwn, filesIn, oneFile, type TypeFiles } from './type-file';
