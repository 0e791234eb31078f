// Another unit in the place of one.
export { choiceIds, choiceNames, type ChoiceId } from './choices';
export {
  assumed,
  choiceFigures,
  commonFigures,
  decide,
  figureNames,
  type ChoiceFigure,
  type CommonFigure,
  type Costed,
  type Decision,
  type Range,
  type Situation,
} from './decide';
export { fitCheck, fitRules, type FitCheck } from './fit';
export { networkQuestions } from './rules-network';
export type { FitRow } from './rule';
export {
  emcCategories,
  nothingAsked,
  sizeOf,
  unitOfModel,
  type UnitRequirements,
  type FitControl,
  type FitUnit,
  type Size,
} from './unit';
export { apartFor, placeHoles, templateOf, type PlacedHoles, type Template } from './drilling';
