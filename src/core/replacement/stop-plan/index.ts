// The shortest stop: what must be done while the machine stands, and what need not.
export { stopPlan, taskTrouble, type StopPlan, type TaskTrouble } from './plan';
export { goingOn, type Progress, type StopNow } from './live';
export { movable, type Movable } from './movable';
export { timetable, type TimetableTask, type Timetable } from './timetable';
export type { NamedTask, PlannedTask, Task } from './task';
export { usualSwap } from './usual';
