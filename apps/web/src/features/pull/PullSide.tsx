import { memo, Suspense, useDeferredValue, useMemo } from 'react';
import clsx from 'clsx';
import { lazyPart } from '../../shared/lazyPart';
import { useAppSelector } from '../../shared/store/hooks';
import { useAfterDrag } from '../../shared/gestures/dragging';
import { useAfterPaint } from '../../shared/useAfterPaint';
import { selectSession } from '../shot/sessionSlice';
import { MarkList } from './MarkList';
import { SubjectForm } from './SubjectForm';
import { OpticsChanges } from './OpticsChanges';
import type { SideProps } from './sideProps';
import { RememberedFold } from '../../ui/RememberedFold';
import layoutStyles from '../../ui/layout.module.css';
import styles from './PullSide.module.css';

// the track can be edited before viewfinder and ring are loaded
const Viewfinder = lazyPart(() => import('../viewfinder/Viewfinder').then(({ Viewfinder }) => Viewfinder));
const RingDial = lazyPart(() => import('../dial/RingDial').then(({ RingDial }) => RingDial));
// details are loaded with the first selection, options of the shot after the first paint
const MarkOnFloor = lazyPart(() => import('../marks/MarkOnFloor').then(({ MarkOnFloor }) => MarkOnFloor));
const MarkRing = lazyPart(() => import('../marks/MarkRing').then(({ MarkRing }) => MarkRing));
const RingScale = lazyPart(() => import('../marks/RingScale').then(({ RingScale }) => RingScale));
const MarkDetails = lazyPart(() => import('./MarkDetails').then(({ MarkDetails }) => MarkDetails));
const SubjectDetails = lazyPart(() => import('./SubjectDetails').then(({ SubjectDetails }) => SubjectDetails));
const ShotOptions = lazyPart(() => import('./ShotOptions').then(({ ShotOptions }) => ShotOptions));
const BeatDetails = lazyPart(() => import('./BeatDetails').then(({ BeatDetails }) => BeatDetails));
const PullDetails = lazyPart(() => import('./PullDetails').then(({ PullDetails }) => PullDetails));

type Props = SideProps & { readonly isAdding?: boolean };

/** Side column: marks with their distances, and details of the selection. It takes no part in a drag. */
export function PullSide({ plan, verdict, ...rest }: Props) {
  const shown = useAfterDrag(useMemo(() => ({ plan, verdict }), [plan, verdict]));
  return <SideColumn {...shown} {...rest} />;
}

const SideColumn = memo(function SideColumn({ plan, verdict, units, isAdding = false }: Props) {
  // stays open from mark to mark
  const selection = useAppSelector((state) => selectSession(state).selection);
  const pull = selection?.kind === 'move' ? plan.focusTrack.pulls.find(({ id }) => id === selection.id) : undefined;
  const beat = selection?.kind === 'beat' ? plan.beats.find(({ id }) => id === selection.id) : undefined;
  const mark = selection?.kind === 'mark' ? plan.marks.find(({ id }) => id === selection.id) : undefined;
  const selectedId = selection?.kind === 'subject' ? selection.id : undefined;
  const ownerId = mark ? mark.subjectId : selectedId;
  const subject = plan.subjects.find(({ id }) => id === ownerId);
  const isPainted = useAfterPaint(verdict !== null);
  // during a drag the chart has priority over these
  const shown = useDeferredValue(useMemo(() => ({ plan, verdict }), [plan, verdict]));
  return (
    <aside data-testid="side" className={clsx(layoutStyles.side, styles.pullSide)} aria-label="Selection and marks">
      {shown.verdict && (
        <section className={styles.atPlayhead} aria-label="At the playhead">
          <Suspense>
            <Viewfinder plan={shown.plan} verdict={shown.verdict} />
            <RingDial plan={shown.plan} verdict={shown.verdict} units={units} />
          </Suspense>
        </section>
      )}
      <Suspense>
        {pull && <PullDetails key={pull.id} move={pull} plan={plan} verdict={verdict} units={units} />}
        {beat && <BeatDetails key={beat.id} beat={beat} plan={plan} verdict={verdict} />}
      </Suspense>
      {mark && (
        <section key={mark.id} aria-label={`Mark ${mark.letter}`}>
          <h2>Mark {mark.letter}</h2>
          <Suspense>
            <MarkDetails mark={mark} plan={plan} units={units} />
            <MarkRing mark={mark} plan={plan} units={units} />
            <RememberedFold title="Place on the floor, and what to ask the performer for">
              <MarkOnFloor mark={mark} plan={plan} />
            </RememberedFold>
          </Suspense>
        </section>
      )}
      <Suspense>{subject && <SubjectDetails key={subject.id} subject={subject} plan={plan} units={units} />}</Suspense>
      <MarkList plan={plan} units={units} />
      {plan.marks.some(({ reading }) => reading !== null) && (
        <Suspense>
          <RingScale plan={plan} />
        </Suspense>
      )}
      {isPainted && (
        <Suspense>
          <ShotOptions plan={plan} units={units} />
        </Suspense>
      )}
      <OpticsChanges plan={plan} />
      <section>
        <h2>New subject</h2>
        <SubjectForm hasCursor={isAdding} />
      </section>
    </aside>
  );
});
