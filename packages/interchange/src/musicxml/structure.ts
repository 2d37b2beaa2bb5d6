import {
  own,
  type KeyMark,
  type Metre,
  type MetreMark,
  type Mode,
  type ScoreBar,
  type TempoMark,
} from '@wide-fern/core';
import { child, childrenOf, numberOf, textOf, type Tree } from '../xml/tree';
import type { Warnings } from '../common/warnings';

const near = 1e-4;

/** A bar while the parts are read one after the other. */
export interface ReadingBar {
  readonly label: string;
  readonly implicit: boolean;
  quarters: number;
  repeatFrom: boolean;
  repeatTo: { times?: number } | undefined;
  readonly endings: Set<number>;
  segno: boolean;
  coda: boolean;
  toCoda: boolean;
  fine: boolean;
  backTo: 'beginning' | 'segno' | undefined;
  sectionEnd: boolean;
  /** A coda sign that says neither which one it is. */
  codaSign: boolean;
}

const modeWords: Readonly<Record<string, Mode>> = {
  major: 'major',
  ionian: 'major',
  minor: 'minor',
  aeolian: 'minor',
  dorian: 'dorian',
  phrygian: 'phrygian',
  lydian: 'lydian',
  mixolydian: 'mixolydian',
};
/** What stands above the staff where it goes on elsewhere, in the languages scores are printed in. */
const fromBeginning =
  /^(d\.? ?c\.?|da capo|von (vorn(e)?|anfang( an)?)|du début|reprise du début)(?![\p{L}])/iu;
const fromSign =
  /^(d\.? ?s\.?|dal segno|vom zeichen|du signe|fra tegnet|från tecknet)(?![\p{L}])/iu;
const awayToCoda =
  /^((to|al|alla|zur|zum|vers la|à la|a la|naar|til|till|vai alla|ir a la|do)( the)? coda)(?![\p{L}])/iu;
const end = /^(fine|ende|fin|slut|einde|loppu|koniec|vége)\.?$/i;
const units = [1, 2, 4, 8, 16] as const;
const beatUnits: Readonly<Record<string, number>> = {
  long: 16,
  breve: 8,
  whole: 4,
  half: 2,
  quarter: 1,
  eighth: 0.5,
  '16th': 0.25,
  '32nd': 0.125,
};

/** What holds for all parts of a score: its bars, and where key, metre and tempo change. */
export class Structure {
  readonly bars: ReadingBar[] = [];
  readonly keys: KeyMark[] = [];
  readonly metres: MetreMark[] = [];
  readonly tempos: TempoMark[] = [];
  private readonly seen = new Set<string>();

  constructor(readonly warnings: Warnings) {}

  /** The bar at a place, made when the first part comes to it. */
  bar(place: number, measure: Tree): ReadingBar {
    const found = this.bars[place];
    if (found) return found;
    const made: ReadingBar = {
      label: measure.attributes.number ?? String(place + 1),
      implicit: measure.attributes.implicit === 'yes',
      quarters: 0,
      repeatFrom: false,
      repeatTo: undefined,
      endings: new Set(),
      segno: false,
      coda: false,
      toCoda: false,
      fine: false,
      backTo: undefined,
      sectionEnd: false,
      codaSign: false,
    };
    this.bars.push(made);
    return made;
  }

  private once(key: string): boolean {
    if (this.seen.has(key)) return false;
    this.seen.add(key);
    return true;
  }

  addKey(tree: Tree, bar: number): void {
    const fifths = numberOf(tree, 'fifths');
    if (fifths === undefined || Math.abs(fifths) > 12) {
      this.warnings.add(bar, '', 'This key signature is unusual and was left out.');
      return;
    }
    if (!this.once(`key ${bar}`)) return;
    const word = textOf(tree, 'mode') || 'major';
    const known = own(modeWords, word);
    if (!known) {
      this.warnings.add(bar, '', `The mode ${word} is read as major.`, 'exercise');
    }
    const mode = known ?? 'major';
    const last = this.keys[this.keys.length - 1];
    if (last?.fifths === fifths && last.mode === mode) return;
    this.keys.push({ bar, fifths: Math.round(fifths), mode });
  }

  addTime(tree: Tree, bar: number): void {
    // A signature that is not printed only tells how long its bar is; the notes tell it too.
    if (tree.attributes['print-object'] === 'no') return;
    const beats = textOf(tree, 'beats')
      .split('+')
      .reduce((sum, one) => sum + Number(one), 0);
    const unit = units.find((one) => one === numberOf(tree, 'beat-type'));
    if (!(Number.isInteger(beats) && beats >= 1 && beats <= 32) || !unit) {
      if (!child(tree, 'senza-misura')) {
        this.warnings.add(
          bar,
          '',
          'This time signature was not understood; bars are as long as their notes.',
        );
      }
      return;
    }
    if (!this.once(`time ${bar}`)) return;
    const metre: Metre = { beats, unit };
    const last = this.metres[this.metres.length - 1]?.metre;
    if (last?.beats === beats && last.unit === unit) return;
    this.metres.push({ bar, metre });
  }

  addTempo(tempo: number, bar: number, at: number): void {
    if (!(tempo > 0) || tempo > 1000) return;
    if (this.once(`tempo ${bar} ${Math.round(at * 96)}`)) this.tempos.push({ bar, at, tempo });
  }

  /** Repeats and endings at a bar line; answers which endings go on after it. */
  addBarline(tree: Tree, bar: ReadingBar, endings: readonly number[]): readonly number[] {
    if (textOf(tree, 'bar-style') === 'light-light') bar.sectionEnd = true;
    const repeat = child(tree, 'repeat')?.attributes;
    if (repeat?.direction === 'forward') bar.repeatFrom = true;
    if (repeat?.direction === 'backward') {
      const times = Number(repeat.times);
      bar.repeatTo = Number.isInteger(times) && times > 1 ? { times } : {};
    }
    const ending = child(tree, 'ending')?.attributes;
    if (!ending) return endings;
    const numbers = (ending.number ?? '').split(/[\s,]+/).flatMap((one) => {
      const [from, to] = one.split('-').map(Number);
      if (!from || !Number.isInteger(from)) return [];
      return Array.from({ length: Math.min(16, (to ?? from) - from + 1) }, (_, i) => from + i);
    });
    for (const number of numbers) bar.endings.add(number);
    return ending.type === 'start' ? numbers : [];
  }

  /** A direction's signs, words and tempo. */
  addDirection(tree: Tree, place: number, bar: ReadingBar, at: number): void {
    const sound = child(tree, 'sound');
    const said = sound ? this.addSound(sound, place, bar, at) : { tempo: false, jump: false };
    for (const type of childrenOf(tree, 'direction-type')) {
      for (const { name, ...one } of type.children) {
        if (name === 'segno') bar.segno = true;
        else if (name === 'coda' && !said.jump) bar.codaSign = true;
        else if (name === 'metronome' && !said.tempo)
          this.addMetronome({ name, ...one }, place, at);
        else if (name === 'words') this.addWords(one.text, bar);
      }
    }
  }

  addSound(
    { attributes }: Tree,
    place: number,
    bar: ReadingBar,
    at: number,
  ): { tempo: boolean; jump: boolean } {
    const { tempo, segno, coda, dacapo, dalsegno, tocoda, fine } = attributes;
    if (tempo !== undefined) this.addTempo(Number(tempo), place, at);
    if (segno !== undefined) bar.segno = true;
    if (coda !== undefined) bar.coda = true;
    if (tocoda !== undefined) bar.toCoda = true;
    if (fine !== undefined) bar.fine = true;
    if (dacapo === 'yes') bar.backTo = 'beginning';
    if (dalsegno !== undefined) bar.backTo = 'segno';
    return { tempo: Number(tempo) > 0, jump: coda !== undefined || tocoda !== undefined };
  }

  private addMetronome(tree: Tree, place: number, at: number): void {
    const unit = own(beatUnits, textOf(tree, 'beat-unit'));
    const perMinute = /\d+(\.\d+)?/.exec(textOf(tree, 'per-minute'))?.[0];
    if (unit === undefined || perMinute === undefined) {
      this.warnings.add(place, '', 'This tempo mark was not understood; the tempo goes on.');
      return;
    }
    const dots = childrenOf(tree, 'beat-unit-dot').length;
    this.addTempo(Number(perMinute) * unit * (2 - 0.5 ** dots), place, at);
  }

  private addWords(text: string, bar: ReadingBar): void {
    const words = text.trim();
    if (fromBeginning.test(words)) bar.backTo ??= 'beginning';
    else if (fromSign.test(words)) bar.backTo ??= 'segno';
    else if (awayToCoda.test(words)) bar.toCoda = true;
    else if (/^coda\.?$/i.test(words)) bar.codaSign = true;
    else if (end.test(words)) bar.fine = true;
  }

  /** The bars as they stand when every part has been read. */
  finished(): ScoreBar[] {
    this.placeCodas();
    let number = 0;
    return this.bars.map((bar, place): ScoreBar => {
      const full = this.fullBar(place);
      const quarters = bar.quarters > near ? bar.quarters : full;
      const said = /^\d+$/.test(bar.label) ? Number(bar.label) : undefined;
      const isPickUp =
        place === 0 && (said === 0 || (this.metres.length > 0 && quarters < full - near));
      const isOwn = !isPickUp && said !== undefined && !(bar.implicit && place > 0);
      number = isPickUp ? 0 : isOwn ? said : number;
      return {
        number,
        counted: isOwn,
        quarters,
        ...(bar.repeatFrom ? { repeatFrom: true } : {}),
        ...(bar.repeatTo ? { repeatTo: bar.repeatTo } : {}),
        ...(bar.endings.size > 0 ? { endings: [...bar.endings].sort((a, b) => a - b) } : {}),
        ...(bar.segno ? { segno: true } : {}),
        ...(bar.coda ? { coda: true } : {}),
        ...(bar.toCoda ? { toCoda: true } : {}),
        ...(bar.fine ? { fine: true } : {}),
        ...(bar.backTo ? { backTo: bar.backTo } : {}),
        ...(bar.sectionEnd ? { sectionEnd: true } : {}),
      };
    });
  }

  private fullBar(place: number): number {
    let metre: Metre = { beats: 4, unit: 4 };
    for (const mark of this.metres) if (mark.bar <= place) metre = mark.metre;
    return (metre.beats * 4) / metre.unit;
  }

  /** Of coda signs without words the first leads away and the last is where it leads. */
  private placeCodas(): void {
    const signs = this.bars.filter(({ codaSign, coda, toCoda }) => codaSign && !coda && !toCoda);
    const hasAway = this.bars.some(({ toCoda }) => toCoda);
    const hasCoda = this.bars.some(({ coda }) => coda);
    signs.forEach((bar, i) => {
      const isLast = i === signs.length - 1;
      if (!hasCoda && isLast && (hasAway || signs.length > 1)) bar.coda = true;
      else if (!hasAway) bar.toCoda = true;
    });
  }
}
