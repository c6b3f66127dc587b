import { NumberField } from '../plant/CountFields';
import { useSay } from '../text/say';
import { told, withAllOn, type Picture, type Trace } from './tracing';

/** A phone's other lenses, as on 35 mm film. */
const OTHER_LENSES = [13, 52, 77] as const;

/** What is told about a picture beside its touches, and the limbs touched in it. */
export function PictureFacts({
  view,
  picture,
  staff_cm,
  usual_mm,
  chosen,
  choose,
  setStaff,
  set,
  remove,
}: {
  view: number;
  picture: Picture;
  staff_cm: number;
  /** Focal length of a phone's usual lens. */
  usual_mm: number;
  chosen: string | null;
  choose: (limb: string | null) => void;
  setStaff: (cm: number) => void;
  set: (picture: Picture) => void;
  remove: (limb: string) => void;
}) {
  const say = useSay();
  const limb = picture.limbs.find((one) => one.id === chosen);
  return (
    <section aria-label={say('photosurvey.picture', { picture: view + 1 })}>
      <details>
        <summary className="min-h-9 content-center text-[14px] font-semibold">
          {say('photosurvey.about-picture', { bearing: picture.bearing_deg })}
        </summary>
        <div className="mt-1 flex flex-wrap gap-2">
          <NumberField
            name={say('photosurvey.bearing')}
            width="w-20"
            value={picture.bearing_deg}
            set={(bearing) => {
              if (bearing !== undefined) set({ ...picture, bearing_deg: bearing });
            }}
          />
          <NumberField
            name={say('photosurvey.camera-height')}
            unit="cm"
            width="w-20"
            value={picture.cameraHeight_cm}
            set={(cameraHeight_cm) => {
              set({ ...picture, cameraHeight_cm });
            }}
          />
          <NumberField
            name={say('photosurvey.staff')}
            unit="cm"
            width="w-20"
            value={staff_cm}
            set={(cm) => {
              if (cm !== undefined) setStaff(cm);
            }}
          />
          <label className="flex flex-col gap-0.5 text-[13px] text-muted">
            {say('photosurvey.lens')}
            <select
              className="min-h-10 rounded-md border border-muted/50 bg-paper px-2 text-[15px] text-ink"
              value={picture.focal35_mm ?? usual_mm}
              onChange={(event) => {
                set({ ...picture, focal35_mm: Number(event.target.value) });
              }}
            >
              {[usual_mm, ...OTHER_LENSES].map((mm) => (
                <option key={mm} value={mm}>
                  {say('photosurvey.lens-mm', { focal: mm, kind: mm === usual_mm ? 'usual' : 'other' })}
                </option>
              ))}
            </select>
          </label>
        </div>
      </details>
      {limb && (
        <LimbFacts
          limb={limb}
          others={picture.limbs}
          onIt={withAllOn(picture, limb.id)}
          set={(part) => {
            set(told(picture, limb.id, part));
          }}
          remove={() => {
            remove(limb.id);
          }}
          close={() => {
            choose(null);
          }}
        />
      )}
    </section>
  );
}

/** What a touched limb stands on, and where it heads if only this picture shows it. */
function LimbFacts({
  limb,
  others,
  onIt,
  set,
  remove,
  close,
}: {
  limb: Trace;
  others: readonly Trace[];
  /** The limb itself and what stands on it: it cannot grow from these. */
  onIt: ReadonlySet<string>;
  set: (part: Partial<Trace>) => void;
  remove: () => void;
  close: () => void;
}) {
  const say = useSay();
  return (
    <div className="mt-2 flex flex-wrap items-end gap-2 border-l-4 border-lichen bg-sand px-3 py-2">
      <h2 className="w-full text-[16px] font-bold">{say('photosurvey.limb', { limb: limb.id })}</h2>
      <label className="flex flex-col gap-0.5 text-[13px] text-muted">
        {say('photosurvey.stands-on')}
        <select
          className="min-h-10 rounded-md border border-muted/50 bg-paper px-2 text-[15px] text-ink"
          value={limb.parent}
          onChange={(event) => {
            set({ parent: event.target.value });
          }}
        >
          <option value="trunk">{say('photosurvey.trunk')}</option>
          {others
            .filter((one) => !onIt.has(one.id))
            .map((one) => (
              <option key={one.id} value={one.id}>
                {say('photosurvey.limb', { limb: one.id })}
              </option>
            ))}
        </select>
      </label>
      <NumberField
        name={say('photosurvey.heads-to')}
        value={limb.bearing_deg}
        set={(bearing_deg) => {
          set({ bearing_deg });
        }}
      />
      <button type="button" className="min-h-10 px-2 text-[14px] font-semibold underline" onClick={remove}>
        {say('photosurvey.remove-limb')}
      </button>
      <button type="button" className="min-h-10 px-2 text-[14px] underline" onClick={close}>
        {say('photosurvey.close')}
      </button>
    </div>
  );
}
