import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Decisions } from '../api/client';
import {
  begin,
  current,
  decide,
  refusing,
  taking,
  toSend,
  unacknowledged,
  unmarking,
  waitBeforeSending,
  type Deciding,
  type DecidingEvent,
} from './decisions';

/** As the server tells it of the operations used here. */
const TOGETHER = { bend: ['head', 'deflower'], head: ['bend', 'deflower'], remove: ['deflower'] };

const NONE: Decisions = { marks: [], refused: [], schoolLines: {} };
const marked = (...limbs: string[]): Decisions => ({
  ...NONE,
  marks: limbs.map((limb) => ({ operation: 'remove', limb })),
});
const start = () => begin(NONE, 4, 9, null);
const after = (...events: DecidingEvent[]) => events.reduce(decide, start());

describe('what is decided on a tree', () => {
  it('counts as saved only once the server has it', () => {
    const one = marked('1');
    const clicked = after({ type: 'change', to: one });
    expect([clicked.state, unacknowledged(clicked)]).toEqual(['waiting', true]);
    const done = decide(clicked, { type: 'saved', sent: one, version: 5 });
    expect([done.state, done.version, unacknowledged(done)]).toEqual(['saved', 5, false]);
  });

  it('is sent again after an undo while it was on its way', () => {
    const one = marked('1');
    const undone = after({ type: 'change', to: one }, { type: 'sending' }, { type: 'undo' });
    const answered = decide(undone, { type: 'saved', sent: one, version: 5 });
    expect([answered.state, toSend(answered), current(answered)]).toEqual(['waiting', true, NONE]);
  });

  it('is sent again, ever less often, while nobody answers', () => {
    let deciding = after({ type: 'change', to: marked('1') });
    const waits: number[] = [];
    for (let i = 0; i < 8; i += 1) {
      deciding = decide(decide(deciding, { type: 'sending' }), { type: 'unanswered' });
      expect([deciding.state, toSend(deciding)]).toEqual(['retrying', true]);
      waits.push(waitBeforeSending(deciding));
    }
    expect(waits).toEqual([...waits].sort((a, b) => a - b));
    expect(Math.max(...waits)).toBeLessThanOrEqual(30_000);
  });

  it('is not sent over what somebody else decided, until one of the two is chosen', () => {
    const stale = after({ type: 'change', to: marked('1') }, { type: 'stale', why: 'changed' });
    const more = decide(stale, { type: 'change', to: marked('1', '2') });
    expect([more.state, toSend(more)]).toEqual(['stale', false]);
    expect(current(decide(more, { type: 'loaded', decisions: marked('3'), version: 8 }))).toEqual(
      marked('3'),
    );
    const mine = decide(more, { type: 'mine', version: 8 });
    expect([mine.state, mine.version, current(mine)]).toEqual(['waiting', 8, marked('1', '2')]);
  });

  it('goes on with what this device kept and could not send', () => {
    const again = begin(NONE, 4, 9, { decisions: marked('1'), version: 4, surveyId: 9 });
    expect([again.state, current(again)]).toEqual(['waiting', marked('1')]);
    expect(current(decide(again, { type: 'undo' }))).toEqual(NONE);
    const elsewhere = begin(marked('7'), 6, 9, { decisions: marked('1'), version: 4, surveyId: 9 });
    expect(elsewhere.state).toBe('stale');
    const surveyedAgain = begin(NONE, -1, 10, { decisions: marked('1'), version: 4, surveyId: 9 });
    expect([surveyedAgain.state, current(surveyedAgain)]).toEqual(['saved', NONE]);
  });

  it('knows the same decisions however they are written', () => {
    const ours = { marks: [{ limb: '1', operation: 'remove' }] };
    const theirs = {
      marks: [{ operation: 'remove', limb: '1' }],
      refused: [],
      school: null,
      schoolLines: {},
    } as unknown as Decisions;
    expect(begin(theirs, 5, 9, { decisions: ours, version: 4, surveyId: 9 }).state).toBe('saved');
  });

  it('never says saved while the server has something else, in whatever order things happen', () => {
    const event = fc.oneof(
      fc.constantFrom('1', '2', '3').map((limb): DecidingEvent => ({ type: 'change', to: marked(limb) })),
      fc.constant<DecidingEvent>({ type: 'undo' }),
      fc.constant<DecidingEvent>({ type: 'redo' }),
      fc.constantFrom('send', 'fail', 'answer'),
    );
    fc.assert(
      fc.property(fc.array(event, { maxLength: 40 }), (events) => {
        let deciding: Deciding = start();
        let sent: Decisions | null = null;
        let server: Decisions = NONE;
        for (const one of events) {
          if (one === 'send' && sent === null && toSend(deciding)) {
            sent = current(deciding);
            deciding = decide(deciding, { type: 'sending' });
          } else if (one === 'fail' && sent !== null) {
            sent = null;
            deciding = decide(deciding, { type: 'unanswered' });
          } else if (one === 'answer' && sent !== null) {
            server = sent;
            deciding = decide(deciding, { type: 'saved', sent, version: deciding.version + 1 });
            sent = null;
          } else if (typeof one !== 'string') {
            deciding = decide(deciding, one);
          }
          if (deciding.state === 'saved' && sent === null) expect(current(deciding)).toEqual(server);
          if (sent === null && current(deciding) !== server && deciding.state !== 'saved') {
            expect(toSend(deciding)).toBe(true);
          }
        }
      }),
      { numRuns: 2000 },
    );
  });
});

describe('marks', () => {
  it('stand beside each other on a limb only where both can be done', () => {
    const bent = taking(NONE, { operation: 'bend', limb: '1', toAngle_deg: 60 }, TOGETHER);
    const both = taking(bent, { operation: 'head', limb: '1', at_cm: 50 }, TOGETHER);
    expect(both.marks).toHaveLength(2);
    expect(taking(both, { operation: 'remove', limb: '1' }, TOGETHER).marks).toEqual([
      { operation: 'remove', limb: '1' },
    ]);
  });

  it('are taken off by a refusal, and a refusal by a mark', () => {
    const refused = refusing(marked('1'), 'remove@1');
    expect([refused.marks, refused.refused]).toEqual([[], ['remove@1']]);
    expect(taking(refused, { operation: 'remove', limb: '1' }, TOGETHER).refused).toEqual([]);
    expect(unmarking(marked('1', '2'), 'remove@1').marks).toHaveLength(1);
  });
});
