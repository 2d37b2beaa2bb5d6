import { fireEvent, screen, waitFor } from '@testing-library/react';
import type { PlanDocument } from '@wide-fern/contract';
import { readPlanFile } from '@wide-fern/plan';
import { documentOf } from '@wide-fern/plan/testing';
import { parseMidi } from 'midi-file';
import { plainNames, show, tidy } from '../../testing/page';
import { Files } from './Files';

/** What was handed to the browser to be kept. */
const saved: Blob[] = [];
const click = (name: string | RegExp) => fireEvent.click(screen.getByRole('button', { name }));
const bytesOf = async (blob: Blob) =>
  new Promise<Uint8Array>((done) => {
    const reader = new FileReader();
    reader.onload = () => done(new Uint8Array(reader.result as ArrayBuffer));
    reader.readAsArrayBuffer(blob);
  });
const view = (document: PlanDocument) =>
  show(
    <Files
      of={{
        ...{ start: Date.parse('2026-12-01T19:30:00.000Z'), allotted: 900, document },
        ...{ choir: 'Quarry Lane Singers', place: 'Hall', timeZone: 'Europe/London', clock: '24' },
        writing: plainNames,
      }}
      sheet={{ title: '', under: '', entries: [], foot: [] }}
      paper="a4"
    />,
  );

beforeAll(() => {
  // The test's browser keeps no files: they are looked at here.
  URL.createObjectURL = (blob) => {
    saved.push(blob as Blob);
    return 'blob:kept';
  };
  URL.revokeObjectURL = () => undefined;
});
afterEach(() => {
  saved.length = 0;
  tidy();
});

describe('a whole warm-up as a file', () => {
  const document = documentOf('coat-off', 'narrow-hum', 'pulley');
  it('is MusicXML with every part, and MIDI on the clock of the plan', async () => {
    await view(document);
    click('MusicXML');
    await waitFor(() => expect(saved).toHaveLength(1), { timeout: 10_000 });
    const xml = new TextDecoder().decode(await bytesOf(saved[0]!));
    for (const part of ['Sopranos', 'Altos', 'Tenors', 'Basses']) {
      expect(xml.toLowerCase()).toContain(`<part-name>${part.toLowerCase()}</part-name>`);
    }
    click('MIDI');
    await waitFor(() => expect(saved).toHaveLength(2), { timeout: 10_000 });
    const { tracks } = parseMidi(await bytesOf(saved[1]!));
    const markers = tracks[0]!.filter(({ type }) => type === 'marker');
    expect(markers.map((one) => (one as { text: string }).text)).toEqual(['Narrow hum', 'Pulley']);
  }, 30_000);

  it('is JSON that is read back without loss', async () => {
    await view(document);
    click(/JSON/);
    const text = new TextDecoder().decode(await bytesOf(saved[0]!));
    expect(readPlanFile(text)).toMatchObject({ kind: 'plan', document });
  });

  it('says that there is no music where nothing is sung', async () => {
    await view(documentOf('coat-off'));
    click('MIDI');
    expect(await screen.findByText(/^Nothing in this warm-up is sung in keys/)).toBeTruthy();
    expect(saved).toEqual([]);
  });
});
