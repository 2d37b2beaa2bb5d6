import { lengthInFigures } from '@wide-fern/words';
import { Hidden } from '../../ui/words';

/** Time led, as a stem and a figure that opens what was led. */
export function Stem({
  seconds,
  scale,
  isOpen,
  onOpen,
}: {
  readonly seconds: number;
  readonly scale: number;
  readonly isOpen: boolean;
  readonly onOpen: () => void;
}) {
  return (
    <div className="stem">
      <div className="bar" style={{ height: Math.max(2, seconds * scale) }} />
      <button className="figure" aria-expanded={isOpen} onClick={onOpen}>
        {lengthInFigures(seconds)}
      </button>
    </div>
  );
}

/** The same as it is planned. */
export function ComingStem({
  seconds,
  scale,
}: {
  readonly seconds: number;
  readonly scale: number;
}) {
  if (seconds === 0) return <Nothing />;
  return (
    <div className="stem">
      <div className="bar planned" style={{ height: Math.max(3, seconds * scale) }} />
      <div className="figure" style={{ color: 'var(--chakra-colors-fern)', minHeight: 0 }}>
        {lengthInFigures(seconds)}
      </div>
    </div>
  );
}

/** A ring: there was an evening, and nothing of this. */
export function Nothing() {
  return (
    <div className="stem">
      <div className="ring" />
      <Hidden>nothing</Hidden>
    </div>
  );
}
