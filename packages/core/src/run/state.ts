import type { BreathChange, BreathLonger } from '../breath/moment';
import type { MidiNote, Seconds, Semitones } from '../units';
import {
  effective,
  ordered,
  type LedKey,
  type LedSegment,
  type Managing,
  type RunAct,
  type RunEvent,
} from './act';
import type { Marked, RunState } from './record';

/** So much longer than planned a key may take before it is told that there was talk. */
const grace: Seconds = 4;

interface Draft {
  id: string;
  talk: number;
  singing: number;
  coach: number;
  after: number;
  keys: { key: number; tonic: MidiNote | null; times: number }[];
  marks: Marked[];
  managed: Managing[];
}

const withLonger = (key: LedKey, more: Seconds): LedKey => ({
  ...key,
  seconds: Math.max(0, key.seconds + more),
  span: Math.max(0, key.span + more),
});

/** Plays events one after the other; everything is kept in milliseconds until it is told. */
class Fold {
  private segments: readonly LedSegment[];
  private open = -1;
  private key: number | null = null;
  private shift = 0;
  private isHeld = false;
  private isTalking = false;
  private isPaused = false;
  private isOver = false;
  private now = 0;
  private idle = 0;
  private spent = 0;
  private talked = 0;
  private longer: readonly BreathChange[] = [];
  /** By how much the present key was made longer than planned, in seconds. */
  private lengthened = 0;
  private readonly notes: string[] = [];
  private readonly drafts = new Map<string, Draft>();

  constructor(segments: readonly LedSegment[]) {
    this.segments = segments;
  }

  /** Time goes on, spent on whatever is going on. */
  until(at: number): void {
    if (this.isOver) return;
    const passed = Math.max(0, at - this.now);
    this.now += passed;
    if (this.isPaused || this.open < 0) this.idle += passed;
    else if (this.key !== null && this.isTalking) this.talked += passed;
    else this.spent += passed;
  }

  play({ at, act }: RunEvent): void {
    this.until(at);
    if (act.kind === 'marked' || act.kind === 'managed') this.notices(act);
    else if (!this.isOver) this.does(act);
  }

  private notices(act: Extract<RunAct, { kind: 'marked' | 'managed' }>): void {
    const open = this.segments[this.open]?.id;
    const id = act.segment ?? (this.isOver ? undefined : open);
    const draft = id === undefined ? undefined : this.drafts.get(id);
    if (act.kind === 'managed') {
      draft?.managed.push(act.how);
      if (id === open && act.longer) this.breathes(act.longer);
    } else if (id === undefined && this.isOver) this.notes.push(act.word);
    else {
      const key = id === open && !this.isOver ? this.key : null;
      const tonic = key === null ? null : (draft?.keys.at(-1)?.tonic ?? null);
      draft?.marks.push({ part: act.part, word: act.word, key, tonic });
    }
  }

  /** The rounds that are still to begin are longer or shorter, and so is what is going on. */
  private breathes({ counts, seconds }: BreathLonger & { readonly seconds: Seconds }): void {
    if (this.isOver || this.key === null) return;
    this.longer = [...this.longer, { at: this.spent / 1000, counts }];
    this.lengthened += seconds;
  }

  private does(act: RunAct): void {
    switch (act.kind) {
      case 'opened':
        return this.opens(act.segment);
      case 'began':
        return this.begins(act.key);
      case 'again':
        return this.key === null ? undefined : this.begins(this.key);
      case 'shifted':
        return this.shifts(act.semitones);
      case 'held':
        this.isHeld = this.key !== null;
        return;
      case 'talking':
        this.isTalking = act.on && this.key !== null;
        return;
      case 'paused':
        this.isPaused = true;
        return;
      case 'resumed':
        this.isPaused = false;
        return;
      case 'renewed':
        return this.renews(act.rest);
      case 'ended':
        this.closes(true);
        this.isOver = true;
        return;
      default:
        return;
    }
  }

  private get draft(): Draft | undefined {
    const segment = this.segments[this.open];
    return segment && this.drafts.get(segment.id);
  }

  /** What is going on is over: its time is told apart. */
  private closes(isLast: boolean): void {
    const draft = this.draft;
    if (draft) this.tellApart(draft, this.segments[this.open]!, isLast);
    this.spent = 0;
    this.talked = 0;
    this.isHeld = false;
    this.isTalking = false;
    // Whoever comes back to it does it as it is planned.
    this.lengthened = 0;
    this.longer = [];
  }

  private tellApart(draft: Draft, segment: LedSegment, isLast: boolean): void {
    if (this.key === null) {
      draft.talk += this.spent;
      return;
    }
    const { seconds, span } = withLonger(segment.keys[this.key]!, this.lengthened);
    const planned = 1000 * (isLast ? seconds : span);
    const over = this.spent - planned;
    const isTalk = !this.isHeld && over > (isLast ? 0 : 1000 * grace);
    draft.singing += isTalk ? planned : this.spent;
    draft[isLast ? 'after' : 'coach'] += this.talked + (isTalk ? over : 0);
  }

  private opens(id: string): void {
    const place = this.segments.findIndex((one) => one.id === id);
    if (place < 0) return;
    this.closes(true);
    this.open = place;
    this.key = null;
    this.shift = 0;
    this.isPaused = false;
    if (this.drafts.has(id)) return;
    const times = { talk: 0, singing: 0, coach: 0, after: 0 };
    this.drafts.set(id, { id, ...times, keys: [], marks: [], managed: [] });
  }

  private begins(key: number): void {
    const led = this.segments[this.open]?.keys[key];
    const draft = this.draft;
    if (!led || !draft) return;
    this.closes(false);
    this.key = key;
    this.isPaused = false;
    this.sings(draft, key, led.tonic);
  }

  private sings(draft: Draft, key: number, planned: MidiNote | null): void {
    const tonic = planned === null ? null : planned + this.shift;
    const last = draft.keys.at(-1);
    if (last?.key === key && last.tonic === tonic) last.times += 1;
    else draft.keys.push({ key, tonic, times: 1 });
  }

  /** What is being sung now is sung so instead; before the first key only what follows. */
  private shifts(semitones: Semitones): void {
    const draft = this.draft;
    if (!draft) return;
    this.shift += semitones;
    const last = draft.keys.at(-1);
    if (this.key === null || !last || last.tonic === null) return;
    if (last.times === 1) last.tonic += semitones;
    else {
      last.times -= 1;
      draft.keys.push({ key: last.key, tonic: last.tonic + semitones, times: 1 });
    }
  }

  private renews(rest: readonly LedSegment[]): void {
    const before = this.segments.slice(0, this.open + 1);
    const open = before.at(-1);
    const anew = open && rest.find(({ id }) => id === open.id);
    const follows = rest.filter(({ id }) => !before.some((one) => one.id === id));
    // What is going on keeps its key: a ladder that ends before it is not taken.
    const fits = anew && (this.key === null || this.key < anew.keys.length);
    if (fits) {
      this.longer = [];
      this.lengthened = 0;
    }
    this.segments = [...before.slice(0, -1), ...(open ? [fits ? anew : open] : []), ...follows];
  }

  /** The segments with the present key as long as it is now. */
  private segmentsNow(): readonly LedSegment[] {
    const { open, key, lengthened } = this;
    if (lengthened === 0) return this.segments;
    const longer = (segment: LedSegment): LedSegment => ({
      ...segment,
      keys: segment.keys.map((one, i) => (i === key ? withLonger(one, lengthened) : one)),
    });
    return this.segments.map((segment, i) => (i === open ? longer(segment) : segment));
  }

  state(): RunState {
    const inSeconds = (ms: number): Seconds => ms / 1000;
    return {
      segments: this.segmentsNow(),
      open: this.open,
      key: this.key,
      shift: this.shift,
      isHeld: this.isHeld,
      isTalking: this.isTalking,
      isPaused: this.isPaused,
      isOver: this.isOver,
      elapsed: inSeconds(this.now),
      idle: inSeconds(this.idle),
      spent: inSeconds(this.spent),
      talked: inSeconds(this.talked),
      longer: this.longer,
      notes: this.notes,
      records: [...this.drafts.values()].map((draft) => ({
        ...draft,
        talk: inSeconds(draft.talk),
        singing: inSeconds(draft.singing),
        coach: inSeconds(draft.coach),
        after: inSeconds(draft.after),
      })),
    };
  }
}

/**
 * Where a run is, from its events: sent twice, late or out of order they give the same (docs/model.md,
 * section 12).
 * @param segments as they were planned when it began
 * @param now milliseconds since it began, up to which time has gone on; until the last event where it is not said
 */
export function runState(
  segments: readonly LedSegment[],
  events: readonly RunEvent[],
  now?: number,
): RunState {
  const fold = new Fold(segments);
  const all = ordered(events);
  for (const event of effective(all)) fold.play(event);
  fold.until(now ?? all.at(-1)?.at ?? 0);
  return fold.state();
}
