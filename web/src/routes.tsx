import type { ComponentType } from 'react';
import type { RouteObject } from 'react-router';
import { App } from './App';
import { Gate } from './people/Gate';
import { Loading, NoSuchPage, PageFailed, PageNotFetched } from './ui/States';

/** A page that is fetched when it is first gone to. */
function page<Name extends string>(fetched: () => Promise<Record<Name, ComponentType>>, name: Name) {
  return async () => {
    const parts = await fetched().catch((error: unknown) => {
      throw new PageNotFetched(error);
    });
    return { Component: parts[name] };
  };
}

const withoutSignal = () => import('./withoutSignal');
const atTheTree = () => import('./atTheTree');
const survey = page(atTheTree, 'SurveyPage');
const dayLists = page(withoutSignal, 'DayLists');

/** Which page answers to which address. */
export const routes: RouteObject[] = [
  {
    element: (
      <Gate>
        <App />
      </Gate>
    ),
    errorElement: <PageFailed />,
    hydrateFallbackElement: <Loading what="…" />,
    children: [
      {
        // what goes wrong with a page leaves the way about in its place
        errorElement: <PageFailed />,
        children: [
          { index: true, lazy: page(() => import('./holding/HoldingPage'), 'HoldingPage') },
          { path: 'trees/:id', lazy: page(atTheTree, 'TreePage') },
          { path: 'trees/:id/survey', lazy: survey },
          { path: 'trees/:id/walk', lazy: page(atTheTree, 'WalkPage') },
          { path: 'trees/:id/photographs', lazy: page(atTheTree, 'PhotoSurveyPage') },
          { path: 'trees/:id/sheet', lazy: page(atTheTree, 'SheetPage') },
          { path: 'trees/:id/record', lazy: page(atTheTree, 'RecordPage') },
          { path: 'plants/:id', lazy: page(atTheTree, 'PlantPage') },
          { path: 'plants/:id/survey', lazy: survey },
          { path: 'plants/:id/record', lazy: page(atTheTree, 'PlantRecordPage') },
          { path: 'plantings', lazy: page(() => import('./planting/PlantingsPage'), 'PlantingsPage') },
          {
            path: 'plantings/household',
            lazy: page(() => import('./planting/HouseholdPage'), 'HouseholdPage'),
          },
          { path: 'limb', lazy: page(() => import('./limb/LimbPage'), 'LimbPage') },
          { path: 'look', lazy: page(() => import('./look/LookPage'), 'LookPage') },
          { path: 'compare', lazy: page(() => import('./tree/ComparePage'), 'ComparePage') },
          { path: 'practice', lazy: page(withoutSignal, 'PracticePage') },
          { path: 'practice/minute', lazy: page(withoutSignal, 'DrillPage') },
          { path: 'practice/eye', lazy: page(withoutSignal, 'EyePage') },
          { path: 'practice/:code', lazy: page(withoutSignal, 'ExercisePage') },
          { path: 'guide', lazy: page(() => import('./guide/GuidePage'), 'GuidePage') },
          { path: 'blocks/:id', lazy: page(() => import('./block/BlockPage'), 'BlockPage') },
          {
            path: 'blocks/:id/instruction',
            lazy: page(() => import('./instruction/InstructionPage'), 'InstructionPage'),
          },
          { path: 'blocks/:id/count', lazy: page(withoutSignal, 'CropCountPage') },
          { path: 'season', lazy: page(() => import('./season/SeasonPage'), 'SeasonPage') },
          { path: 'season/crew', lazy: page(() => import('./season/SchedulePage'), 'SchedulePage') },
          { path: 'season/day', lazy: dayLists },
          { path: 'due', lazy: page(() => import('./due/DuePage'), 'DuePage') },
          { path: 'password', lazy: page(() => import('./people/PasswordPage'), 'PasswordPage') },
          { path: 'accounts', lazy: page(() => import('./people/AccountsPage'), 'AccountsPage') },
          { path: 'farms', lazy: page(() => import('./farms/FarmsPage'), 'FarmsPage') },
          { path: 't/:id', lazy: page(withoutSignal, 'Tag') },
          { path: 'field', lazy: page(withoutSignal, 'FieldHome') },
          { path: 'field/day', lazy: dayLists },
          { path: 'field/blocks/:id', lazy: page(withoutSignal, 'FieldBlockPage') },
          { path: 'field/trees/:id', lazy: page(withoutSignal, 'FieldTreePage') },
          { path: '*', element: <NoSuchPage /> },
        ],
      },
    ],
  },
];
