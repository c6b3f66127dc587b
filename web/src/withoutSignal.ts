/**
 * The pages that are used where there is no signal, fetched as one: whoever has opened one of them can go on to the others
 * without any.
 */
export { CropCountPage } from './cropcount/CropCountPage';
export { FieldBlockPage } from './field/FieldBlockPage';
export { FieldHome } from './field/FieldHome';
export { FieldTreePage } from './field/FieldTreePage';
export { Tag } from './field/Tag';
export { DrillPage } from './practice/DrillPage';
export { ExercisePage } from './practice/ExercisePage';
export { EyePage } from './practice/EyePage';
export { PracticePage } from './practice/PracticePage';
export { DayLists } from './season/DayLists';
