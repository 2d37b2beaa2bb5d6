import { lazy, Suspense } from 'react';
import { Label } from '../../../ui/words';
import type { PanelKind, PanelProps } from './props';
import { SectionPanel } from './SectionPanel';
import { SingerPanel } from './SingerPanel';
import { TonightPanel } from './TonightPanel';

/** Forms, checks and their sound come along when they are opened. */
const CheckPanel = lazy(() =>
  import('./CheckPanel').then(({ CheckPanel: one }) => ({ default: one })),
);
const EditPanel = lazy(() =>
  import('./EditPanel').then(({ EditPanel: one }) => ({ default: one })),
);
const SectionCheckPanel = lazy(() =>
  import('./SectionCheckPanel').then(({ SectionCheckPanel: one }) => ({ default: one })),
);

/** The opened thing, beside the picture and never over it. */
export function Panel(
  props: PanelProps & {
    readonly kind: PanelKind;
    readonly looked: number | null;
    readonly onLook: (percent: number | null) => void;
  },
) {
  return (
    <Suspense fallback={<Label>Opening …</Label>}>
      <Opened {...props} />
    </Suspense>
  );
}

function Opened({ kind, looked, onLook, ...props }: Parameters<typeof Panel>[0]) {
  const { row } = props;
  if (kind === 'tonight') return <TonightPanel {...props} />;
  if (kind === 'section-check') return <SectionCheckPanel key={props.section.part.id} {...props} />;
  if (row && kind === 'check') {
    const { singer, states } = row;
    const { parts } = props.data.voices;
    const done = () => props.onOpen('singer');
    return (
      <CheckPanel key={singer.id} singer={singer} states={states} parts={parts} onDone={done} />
    );
  }
  if (row && kind === 'edit') return <EditPanel key={row.singer.id} {...props} row={row} />;
  if (row && kind === 'singer') return <SingerPanel key={row.singer.id} {...props} row={row} />;
  return <SectionPanel {...props} looked={looked} onLook={onLook} />;
}
