import { recommendationInWords } from '@wide-fern/words';
import { TZDate } from '@date-fns/tz';
import type { AgendaItem, Evening, StoreEvening } from '@wide-fern/contract';
import { recommendedWarmUp, type EveningAdvice, type Occasion } from '@wide-fern/core';
import { addDays, format } from 'date-fns';

/** The local date and time of a moment: «2026-12-01», «19:30». */
export function localOf(moment: Date, timeZone: string): { date: string; time: string } {
  const local = new TZDate(moment.getTime(), timeZone);
  return { date: format(local, 'yyyy-MM-dd'), time: format(local, 'HH:mm') };
}

/** An evening as it is typed. */
export function typedOf(evening: Evening, timeZone: string): StoreEvening {
  const { name, startsAt, endsAt, place, occasion, forbids, agenda } = evening;
  const start = localOf(new Date(startsAt), timeZone);
  const end = localOf(new Date(endsAt), timeZone);
  return {
    name,
    date: start.date,
    start: start.time,
    end: end.time,
    place,
    occasion,
    forbids,
    agenda,
  };
}

const minutesInto = (clock: string): number => {
  const [hours = 0, minutes = 0] = clock.split(':').map(Number);
  return hours * 60 + minutes;
};

/** How long an evening is by its clock, in minutes; an end before the start is on the next day. */
export function eveningMinutes({ start, end }: Pick<StoreEvening, 'start' | 'end'>): number {
  const length = minutesInto(end) - minutesInto(start);
  return length > 0 ? length : length + 24 * 60;
}

export const agendaMinutes = (agenda: readonly AgendaItem[]): number =>
  agenda.reduce((sum, { minutes }) => sum + minutes, 0);

const minutesInWords = (minutes: number): string =>
  `${minutes} ${minutes === 1 ? 'minute' : 'minutes'}`;

/** «10 minutes too much for the evening», «5 minutes left over», «the evening is full». */
export function fillInWords(evening: Pick<StoreEvening, 'start' | 'end' | 'agenda'>): string {
  const over = Math.round(agendaMinutes(evening.agenda) - eveningMinutes(evening));
  if (over > 0) return `${minutesInWords(over)} too much for the evening`;
  if (over < 0) return `${minutesInWords(-over)} left over`;
  return 'the evening is full';
}
export const isOverfull = (evening: Pick<StoreEvening, 'start' | 'end' | 'agenda'>): boolean =>
  agendaMinutes(evening.agenda) > eveningMinutes(evening);

/** «19:45»: the clock so many minutes after a start, past midnight too. */
export function clockAfter(start: string, minutes: number): string {
  const at = Math.round(minutesInto(start) + minutes) % (24 * 60);
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}

/** What an agenda item of a kind is called until somebody says otherwise, and its usual length. */
export const usualItems: Readonly<Record<AgendaItem['kind'], { title: string; minutes: number }>> =
  {
    arrival: { title: 'Arrival', minutes: 10 },
    'warm-up': { title: 'Warm-up', minutes: 15 },
    piece: { title: 'A piece', minutes: 20 },
    break: { title: 'Break', minutes: 15 },
    notices: { title: 'Notices', minutes: 5 },
    'cool-down': { title: 'Cool-down', minutes: 5 },
  };

/** A new item with an id nobody in the evening has. */
export function newItem(agenda: readonly AgendaItem[], kind: AgendaItem['kind']): AgendaItem {
  const taken = new Set(agenda.map(({ id }) => id));
  let id: string = kind;
  for (let n = 2; taken.has(id); n += 1) id = `${kind}-${n}`;
  const isSecondWarmUp = kind === 'warm-up' && id !== kind;
  const { title, minutes } = usualItems[kind];
  return { id, kind, title, minutes: isSecondWarmUp ? 5 : minutes, piece: null };
}

/** An agenda with one item changed. */
export const withItem = (
  agenda: readonly AgendaItem[],
  id: string,
  next: Partial<AgendaItem>,
): AgendaItem[] => agenda.map((one) => (one.id === id ? { ...one, ...next } : one));

/** An agenda with a new item at a place. */
export function withNew(
  agenda: readonly AgendaItem[],
  kind: AgendaItem['kind'],
  place: number,
  minutes?: number,
): { readonly agenda: AgendaItem[]; readonly id: string } {
  const item = newItem(agenda, kind);
  const made = minutes === undefined ? item : { ...item, minutes };
  return { agenda: [...agenda.slice(0, place), made, ...agenda.slice(place)], id: made.id };
}

/** Moves an item to another place. */
export function moved(agenda: readonly AgendaItem[], from: number, to: number): AgendaItem[] {
  const items = [...agenda];
  const [item] = items.splice(from, 1);
  if (item) items.splice(Math.max(0, to), 0, item);
  return items;
}

const shortWarmUp = 5;
const shortBreak = 10;

/** An agenda once an advice was taken. */
export function advised(agenda: readonly AgendaItem[], advice: EveningAdvice): AgendaItem[] {
  const at = (id: string) => agenda.findIndex((one) => one.id === id);
  const place = at(advice.item);
  switch (advice.code) {
    case 'warm-up-before':
      return withNew(agenda, 'warm-up', place, shortWarmUp).agenda;
    case 'break-after':
      return withNew(agenda, 'break', place + 1, shortBreak).agenda;
    case 'earlier':
      return moved(agenda, place, at(advice.before));
  }
}

/** The same weekday in so many weeks after a date. */
export const weeksAfter = (date: string, weeks: number): string[] =>
  Array.from({ length: weeks }, (_, i) =>
    format(addDays(new Date(`${date}T12:00:00`), 7 * (i + 1)), 'yyyy-MM-dd'),
  );

/** «10 to 15 minutes. People have talked all day: …» */
export function lengthAdviceInWords(
  occasion: Occasion,
  evening: Pick<StoreEvening, 'start' | 'end'>,
): string {
  const recommended = recommendedWarmUp(occasion, eveningMinutes(evening));
  const [from, to] = recommended.minutes;
  return `${from === to ? minutesInWords(to) : `${from} to ${to} minutes`}. ${recommendationInWords(recommended)}`;
}
