import { exercises } from '@wide-fern/catalogue';
import type { Evening, PlanDocument } from '@wide-fern/contract';
import { hasKeys, mixedChoir, usualSections, type Section } from '@wide-fern/core';
import { emptyDocument } from '@wide-fern/plan';
import type { BrowserContext } from 'playwright-core';
import { newChoir } from './browser';

const fourParts = usualSections(mixedChoir).map((section) => ({ ...section, singers: 8 }));
/** Each part twice, the second a tone lower. */
const eightParts = fourParts.flatMap((section): Section[] => [
  { ...section, id: `${section.id}1` },
  {
    ...section,
    id: `${section.id}2`,
    comfort: [section.comfort[0] - 2, section.comfort[1] - 2],
    reach: [section.reach[0] - 2, section.reach[1] - 2],
  },
]);

/** A plan of so many segments that are sung in so many keys. */
export function documentOf(parts: 4 | 8, segments: number, keys: number): PlanDocument {
  const sections = parts === 4 ? fourParts : eightParts;
  const sung = exercises.filter(({ music }) => hasKeys(music) && music.kind === 'pattern');
  return {
    ...emptyDocument({ sections, needs: [] }),
    segments: Array.from({ length: segments }, (_, i) => {
      const exercise = sung[i % sung.length]!;
      const choices = { ...exercise.usual, start: null, repetitions: keys, step: 1 };
      return { id: `s${i}`, exercise, choices };
    }),
  };
}

/** Stores a plan for tomorrow in a choir of its own; answers with the address of its evening. */
export async function storedPlan(context: BrowserContext, address: string, document: PlanDocument) {
  const choir = await newChoir(context, address);
  const day = new Date(Date.now() + 86_400_000).toISOString().slice(0, 10);
  const asked = await context.request.post(`${address}/api/choirs/${choir}/evenings`, {
    data: {
      ...{ name: null, date: day, start: '19:00', end: '22:00', place: 'Hall' },
      ...{ occasion: 'evening after work', forbids: [] },
      agenda: [{ id: 'warm-up', kind: 'warm-up', title: 'Warm-up', minutes: 40, piece: null }],
    },
  });
  if (asked.status() !== 201) throw new Error(`No evening: ${asked.status()}.`);
  const evening = (await asked.json()) as Evening;
  const path = `${address}/api/choirs/${choir}/evenings/${evening.id}/plans/warm-up`;
  const saved = await context.request.put(path, { data: { version: 0, document, edits: [] } });
  if (!saved.ok()) throw new Error(`No plan: ${saved.status()} ${await saved.text()}`);
  return `${address}/evenings/${evening.id}`;
}
