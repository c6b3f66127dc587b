import { useState } from 'react';
import type { PlantingOption, PlantingRequest } from '../api/client';
import { useSay } from '../text/say';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import { saveFile } from '../ui/saveFile';
import { fromFile, toFile, yearsTable } from './scenario';

/** The comparison out as a file and in again, and its years as a table. */
export function Carry({
  request,
  results,
  take,
}: {
  request: PlantingRequest;
  results: readonly PlantingOption[];
  /** Shows a comparison, by its name, in the place of the present one. */
  take: (request: PlantingRequest, name: string) => void;
}) {
  const say = useSay();
  const [wrong, setWrong] = useState('');
  return (
    <div className="mt-4 flex flex-wrap gap-2">
      <Button
        onClick={() => {
          saveFile('planting.json', toFile(request), 'application/json');
        }}
      >
        {say('plantings.save-file')}
      </Button>
      <FileButton
        accept=".json,application/json"
        label={say('plantings.file-to-open')}
        onText={(text, fileName) => {
          const read = fromFile(text);
          setWrong(read ? '' : say('plantings.no-scenario', { fileName }));
          if (read) take(read, fileName);
        }}
      >
        {say('plantings.open-file')}
      </FileButton>
      <Button
        disabled={results.length === 0}
        onClick={() => {
          saveFile('planting-years.csv', yearsTable(results), 'text/csv');
        }}
      >
        {say('plantings.years-table')}
      </Button>
      {wrong !== '' && (
        <p role="alert" className="w-full text-[14px] text-lichen">
          {wrong}
        </p>
      )}
    </div>
  );
}
