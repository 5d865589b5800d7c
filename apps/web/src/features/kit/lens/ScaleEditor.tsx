import { type Lens, type Problem, readScale, ringOf, type RingPoint } from '@still-heron/core';
import { problemView, scaleOfReadingsText } from '@still-heron/wording';
import { useState } from 'react';
import { askForFile, parseCsv } from '../../../shared/files/csv';
import { ProblemList } from '../../../ui/ProblemList';
import { Calibration } from './Calibration';
import { NewPoint } from './NewPoint';
import { PointRows, type PointRowsProps } from './PointRows';
import { Button } from '../../../ui/Button';
import kitStyles from '../kit.module.css';
import textStyles from '../../../ui/text.module.css';

interface Props extends PointRowsProps {
  /** The points are not a valid scale yet; the lens keeps its old one */
  readonly isDraft: boolean;
  /** A whole scale from a file or a calibration; it replaces one that was fitted to readings */
  readonly onScale: PointRowsProps['onPoints'];
  readonly onGiveUp: () => void;
  /** Points to draw during a calibration; null for the lens's own */
  readonly onShow: (points: readonly RingPoint[] | null) => void;
  readonly onThrowAlone: (focusThrowDeg: number) => void;
}

/** Scale points of a ring: typed, read from a file, or from the guided calibration, each with its residual. */
export function ScaleEditor(props: Props) {
  const { lens, points, isDraft, units, onPoints, onScale, onGiveUp, onShow, onThrowAlone } = props;
  const [isGuided, setIsGuided] = useState(false);
  const [isAdding, setIsAdding] = useState(false);
  const [unread, setUnread] = useState<{ name: string; problems: readonly Problem[] } | null>(null);

  async function readFile(): Promise<void> {
    const file = await askForFile('.csv,.txt,text/csv');
    if (!file) return;
    const reading = readScale(parseCsv(file.text));
    setUnread(reading.status === 'unread' ? { name: file.name, problems: reading.problems } : null);
    if (reading.status === 'read') onScale(`use the scale of ${file.name}`, reading.items);
  }

  if (lens.response === 'speed') return <SpeedRing />;
  if (isGuided) return <Guided lens={lens} units={units} onScale={onScale} onShow={onShow} onClose={() => setIsGuided(false)} />;
  return (
    <section className={kitStyles.scaleEditor} aria-label="Scale points">
      <h2>Scale {points.length > 0 && <span className={textStyles.muted}>· {points.length} points</span>}</h2>
      {lens.ring.kind === 'fitted' && <p className={textStyles.muted}>{scaleOfReadingsText(lens.ring.points.length)}</p>}
      {unread && <UnreadFile unread={unread} onUnread={setUnread} />}
      {points.length === 0 ? (
        <p className={textStyles.muted}>
          No points yet: the ring is computed as a helicoid from its throw and close focus. Real rings differ a little from that.
        </p>
      ) : (
        <PointRows {...props} />
      )}
      {isAdding && <NewPoint units={units} onAdd={(point) => onPoints('add a scale point', [...points, point])} />}
      {isDraft && (
        <p className={textStyles.toneEdge} role="status">
          The ring is unchanged until these points make a scale.{' '}
          <Button look="quiet" onClick={onGiveUp}>
            Discard them
          </Button>
        </p>
      )}
      <ScaleActions
        points={points}
        onGuided={setIsGuided}
        addPoint={() => setIsAdding(!isAdding)}
        readFile={() => void readFile()}
        lens={lens}
        onThrowAlone={onThrowAlone}
      />
    </section>
  );
}

interface GuidedProps extends Pick<Props, 'lens' | 'units' | 'onScale' | 'onShow'> {
  readonly onClose: () => void;
}

function Guided({ lens, units, onScale, onShow, onClose }: GuidedProps) {
  return (
    <Calibration
      lens={lens}
      units={units}
      onDone={(taken) => {
        onScale('calibrate the ring', taken);
        onClose();
      }}
      onShow={onShow}
      onClose={() => {
        onShow(null);
        onClose();
      }}
    />
  );
}

function UnreadFile({
  unread,
  onUnread,
}: {
  readonly unread: { name: string; problems: readonly Problem[] };
  readonly onUnread: (value: { name: string; problems: readonly Problem[] } | null) => void;
}) {
  return (
    <div role="alert">
      <ProblemList
        title={`Nothing was read from ${unread.name}`}
        problems={unread.problems.map(problemView)}
        onClose={() => onUnread(null)}
      />
    </div>
  );
}

function SpeedRing() {
  return (
    <section className={kitStyles.scaleEditor} aria-label="Scale points">
      <h2>Scale</h2>
      <p className={textStyles.muted}>
        A ring that answers to speed has no scale: a fast turn changes focus more than a slow one. Set it to answer by angle in
        the camera, then set its response on the right.
      </p>
    </section>
  );
}

interface ScaleActionsProps {
  readonly points: readonly RingPoint[];
  readonly onGuided: (value: boolean) => void;
  readonly addPoint: () => void;
  readonly readFile: () => void;
  readonly lens: Lens;
  readonly onThrowAlone: (focusThrowDeg: number) => void;
}

function ScaleActions({ points, onGuided, addPoint, readFile, lens, onThrowAlone }: ScaleActionsProps) {
  return (
    <div className={kitStyles.scaleActions}>
      <Button look={points.length === 0 ? 'main' : 'plain'} onClick={() => onGuided(true)}>
        Calibrate step by step
      </Button>
      <Button onClick={addPoint}>Add a point</Button>
      <Button onClick={() => void readFile()}>Read a CSV file</Button>
      {lens.ring.kind !== 'helicoid' && (
        <Button onClick={() => onThrowAlone(Math.round(ringOf(lens).throwDeg))}>Use the throw only</Button>
      )}
    </div>
  );
}
