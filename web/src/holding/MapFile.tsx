import { inFarm } from '../api/farm';
import { useSay } from '../text/say';
import { FaultList } from '../ui/FaultList';
import { useMutation, useQueryClient } from '@tanstack/react-query';
import { useState } from 'react';
import { answer, api, type GeoRead } from '../api/client';
import { Button } from '../ui/Button';
import { FileButton } from '../ui/FileButton';
import { Failed } from '../ui/States';

/** Blocks and rows out and in as GeoJSON; a file is looked at before it is taken over, whole or not at all. */
export function MapFile({ mayChange }: { mayChange: boolean }) {
  const say = useSay();
  const [collection, setCollection] = useState<unknown>(null);
  const [unreadable, setUnreadable] = useState(false);
  const queries = useQueryClient();
  const take = useMutation({
    mutationFn: ({ what, write }: { what: unknown; write: boolean }) =>
      answer(
        api.POST('/api/map', {
          params: { query: { write } },
          body: what as Record<string, Record<string, never>>,
        }),
      ),
    onSuccess: (got) => {
      if (got.written) {
        setCollection(null);
        void queries.invalidateQueries();
      }
    },
  });
  const read = (text: string) => {
    try {
      const what: unknown = JSON.parse(text);
      setUnreadable(false);
      setCollection(what);
      take.mutate({ what, write: false });
    } catch {
      setUnreadable(true);
    }
  };
  const got = take.data;
  return (
    <div className="pt-2 text-[14px]">
      <div className="flex flex-wrap items-center gap-4">
        <a href={inFarm('/api/holding.geojson')} className="underline underline-offset-4">
          {say('map-file.export-map-geojson')}
        </a>
        {mayChange && (
          <>
            <FileButton
              accept=".geojson,.json,application/geo+json"
              label={say('map-file.map-file-to-take-in')}
              onText={read}
            >
              {say('map-file.take-blocks-and-rows-in')}
            </FileButton>
          </>
        )}
      </div>
      {unreadable && (
        <p role="alert" className="mt-2 text-lichen">
          {say('map-file.this-file-is-no-geojson')}
        </p>
      )}
      {take.isError && <Failed error={take.error} />}
      {got && (collection !== null || got.written) && (
        <Found
          got={got}
          write={() => {
            take.mutate({ what: collection, write: true });
          }}
        />
      )}
    </div>
  );
}

function Found({ got, write }: { got: GeoRead; write: () => void }) {
  const say = useSay();
  if (got.errors.length > 0) {
    return (
      <div role="alert" className="mt-2 border-l-4 border-lichen bg-lichen-wash px-3 py-2">
        <p className="font-semibold">{say('map-file.nothing-was-changed')}</p>
        <FaultList errors={got.errors} />
      </div>
    );
  }
  return (
    <div className="mt-2 bg-sand px-3 py-2" role="status">
      <p className="font-semibold">
        {got.written ? say('map-file.taken-over') : say('map-file.the-file-would-lay-out')}
      </p>
      <ul>
        {got.places.map((one) => (
          <li key={one.blockId}>
            {say('map-file.block-moved-movedm-m-rows', {
              block: one.block,
              movedM: one.movedM,
              bearingDeg: Math.round(one.bearingDeg),
              bearingBeforeDeg: Math.round(one.bearingBeforeDeg),
              betweenRowsM: one.betweenRowsM,
              betweenRowsBeforeM: one.betweenRowsBeforeM,
            })}
          </li>
        ))}
      </ul>
      {!got.written && (
        <Button weight="ink" className="mt-2" onClick={write}>
          {say('map-file.take-it-over')}
        </Button>
      )}
    </div>
  );
}
