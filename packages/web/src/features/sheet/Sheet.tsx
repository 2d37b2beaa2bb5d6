import type { NoteWriting } from '@wide-fern/core';
import type { Line, SheetEntry, SheetTable, SheetText } from '@wide-fern/words';
import type { Paper } from '@wide-fern/interchange/pdf';
import { lazily, missing } from '../../ui/lazily';

/** The engraver comes when there is something to engrave. */
const SheetNotes = lazily(() => import('./SheetNotes'), { absent: missing('The notes') });

/** A sheet as it is printed: black on white, on its paper. */
export function Sheet({
  sheet,
  paper,
  writing,
}: {
  readonly sheet: SheetText;
  readonly paper: Paper;
  readonly writing: NoteWriting;
}) {
  return (
    <main className={`sheet sheet-${paper}`}>
      <header>
        <h1>{sheet.title}</h1>
        <p>{sheet.under}</p>
      </header>
      <ol>
        {sheet.entries.map((entry) => (
          <Entry key={entry.id} entry={entry} writing={writing} />
        ))}
      </ol>
      <footer>
        {sheet.foot.map((line, i) => (
          <Words key={i} line={line} />
        ))}
      </footer>
    </main>
  );
}

const Words = ({ line }: { readonly line: Line }) => (
  <p>
    {line.map(({ text, strong }, i) =>
      strong ? <strong key={i}>{text}</strong> : <span key={i}>{text}</span>,
    )}
  </p>
);

function Entry({ entry, writing }: { readonly entry: SheetEntry; readonly writing: NoteWriting }) {
  return (
    <li>
      <div className="sheet-when">
        <strong>{entry.clock}</strong>
        <span>{entry.length}</span>
      </div>
      <div>
        <h2>
          {entry.name} <small>{entry.beside}</small>
        </h2>
        {entry.first.map((line, i) => (
          <Words key={i} line={line} />
        ))}
        <div className="sheet-notes">
          {entry.notes && (
            <div className={`sheet-${entry.notes.kind}`}>
              <SheetNotes notes={entry.notes} writing={writing} />
            </div>
          )}
          {entry.table && <Keys table={entry.table} />}
        </div>
        {entry.lines.map((line, i) => (
          <Words key={i} line={line} />
        ))}
      </div>
    </li>
  );
}

const Keys = ({ table: { head, rows } }: { readonly table: SheetTable }) => (
  <table>
    <thead>
      <tr>
        <th scope="col">Key</th>
        {head.map((name, i) => (
          <th key={i} scope="col">
            {name}
          </th>
        ))}
      </tr>
    </thead>
    <tbody>
      {rows.map(({ name, cells }) => (
        <tr key={name}>
          <th scope="row">{name}</th>
          {cells.map((cell, i) => (
            <td key={i}>{cell}</td>
          ))}
        </tr>
      ))}
    </tbody>
  </table>
);
