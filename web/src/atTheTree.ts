/**
 * The pages of one tree or plant, fetched as one: whoever has opened one of them with signal and walks up to the tree can go on to
 * the others without any.
 */
export { PhotoSurveyPage } from './photosurvey/PhotoSurveyPage';
export { PlantPage } from './plant/PlantPage';
export { PlantRecordPage } from './plant/PlantRecordPage';
export { RecordPage } from './record/RecordPage';
export { SheetPage } from './sheets/SheetPage';
export { SurveyPage } from './survey/SurveyPage';
export { WalkPage } from './survey/WalkPage';
export { TreePage } from './tree/TreePage';
