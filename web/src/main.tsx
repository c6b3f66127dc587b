import { farmBase } from './api/farm';
import { onUnits } from './text/units';
import '@fontsource-variable/atkinson-hyperlegible-next';
import '@fontsource-variable/bricolage-grotesque';
import { QueryClient, QueryClientProvider } from '@tanstack/react-query';
import { StrictMode } from 'react';
import { createRoot } from 'react-dom/client';
import { createBrowserRouter, RouterProvider } from 'react-router';
import { askAgain } from './api/problem';
import { App } from './App';
import { BlockPage } from './block/BlockPage';
import { CropCountPage } from './cropcount/CropCountPage';
import { sendCounts } from './cropcount/waitingCounts';
import { FieldHome } from './field/FieldHome';
import { HouseholdPage } from './planting/HouseholdPage';
import { PlantingsPage } from './planting/PlantingsPage';
import { DrillPage } from './practice/DrillPage';
import { EyePage } from './practice/EyePage';
import { ExercisePage } from './practice/ExercisePage';
import { PracticePage } from './practice/PracticePage';
import { sendPractised } from './practice/sendPractised';
import { InstructionPage } from './instruction/InstructionPage';
import { FieldBlockPage } from './field/FieldBlockPage';
import { FieldTreePage } from './field/FieldTreePage';
import { keepForNoSignal } from './field/keepForNoSignal';
import { sendAll } from './field/sendAll';
import { sendInBackground } from './field/sendInBackground';
import { GuidePage } from './guide/GuidePage';
import { HoldingPage } from './holding/HoldingPage';
import './index.css';
import { language, onLanguage, setLanguage } from './text/language';
import { LimbPage } from './limb/LimbPage';
import { LookPage } from './look/LookPage';
import { RecordPage } from './record/RecordPage';
import { DayLists } from './season/DayLists';
import { SchedulePage } from './season/SchedulePage';
import { SeasonPage } from './season/SeasonPage';
import { SheetPage } from './sheets/SheetPage';
import { PhotoSurveyPage } from './photosurvey/PhotoSurveyPage';
import { PlantPage } from './plant/PlantPage';
import { PlantRecordPage } from './plant/PlantRecordPage';
import { SurveyPage } from './survey/SurveyPage';
import { WalkPage } from './survey/WalkPage';
import { ComparePage } from './tree/ComparePage';
import { TreePage } from './tree/TreePage';
import { AccountsPage } from './people/AccountsPage';
import { FarmsPage } from './farms/FarmsPage';
import { PasswordPage } from './people/PasswordPage';
import { Gate } from './people/Gate';
import { Tag } from './field/Tag';
import { DuePage } from './due/DuePage';
import { NoSuchPage, PageFailed } from './ui/States';

const queries = new QueryClient({
  defaultOptions: { queries: { retry: askAgain, refetchOnWindowFocus: false, staleTime: 10_000 } },
});

const router = createBrowserRouter(
  [
    {
      element: (
        <Gate>
          <App />
        </Gate>
      ),
      errorElement: <PageFailed />,
      children: [
        { index: true, element: <HoldingPage /> },
        { path: 'trees/:id', element: <TreePage /> },
        { path: 'trees/:id/survey', element: <SurveyPage /> },
        { path: 'trees/:id/walk', element: <WalkPage /> },
        { path: 'trees/:id/photographs', element: <PhotoSurveyPage /> },
        { path: 'plants/:id', element: <PlantPage /> },
        { path: 'plants/:id/survey', element: <SurveyPage /> },
        { path: 'plants/:id/record', element: <PlantRecordPage /> },
        { path: 'plantings', element: <PlantingsPage /> },
        { path: 'plantings/household', element: <HouseholdPage /> },
        { path: 'limb', element: <LimbPage /> },
        { path: 'look', element: <LookPage /> },
        { path: 'practice', element: <PracticePage /> },
        { path: 'practice/minute', element: <DrillPage /> },
        { path: 'practice/eye', element: <EyePage /> },
        { path: 'practice/:code', element: <ExercisePage /> },
        { path: 'blocks/:id', element: <BlockPage /> },
        { path: 'blocks/:id/instruction', element: <InstructionPage /> },
        { path: 'blocks/:id/count', element: <CropCountPage /> },
        { path: 'season', element: <SeasonPage /> },
        { path: 'season/crew', element: <SchedulePage /> },
        { path: 'season/day', element: <DayLists /> },
        { path: 'field/day', element: <DayLists /> },
        { path: 'due', element: <DuePage /> },
        { path: 'password', element: <PasswordPage /> },
        { path: 'accounts', element: <AccountsPage /> },
        { path: 'farms', element: <FarmsPage /> },
        { path: 't/:id', element: <Tag /> },
        { path: 'field', element: <FieldHome /> },
        { path: 'field/blocks/:id', element: <FieldBlockPage /> },
        { path: 'field/trees/:id', element: <FieldTreePage /> },
        { path: 'compare', element: <ComparePage /> },
        { path: 'guide', element: <GuidePage /> },
        { path: 'trees/:id/sheet', element: <SheetPage /> },
        { path: 'trees/:id/record', element: <RecordPage /> },
        { path: '*', element: <NoSuchPage /> },
      ],
    },
  ],
  { basename: farmBase || '/' },
);

setLanguage(language());
// what the server says comes in the language too
onLanguage(() => void queries.invalidateQueries());
onUnits(() => void queries.invalidateQueries());
keepForNoSignal();
sendInBackground([sendAll, sendCounts, sendPractised]);

const root = document.getElementById('root');
if (root) {
  createRoot(root).render(
    <StrictMode>
      <QueryClientProvider client={queries}>
        <RouterProvider router={router} />
      </QueryClientProvider>
    </StrictMode>,
  );
}
