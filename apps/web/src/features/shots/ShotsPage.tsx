import {
  closestCenter,
  DndContext,
  type DragEndEvent,
  KeyboardSensor,
  PointerSensor,
  useSensor,
  useSensors,
} from '@dnd-kit/core';
import { refusalText } from '@still-heron/wording';
import { arrayMove, SortableContext, sortableKeyboardCoordinates, verticalListSortingStrategy } from '@dnd-kit/sortable';
import type { ProductionView, ShotRowView } from '@still-heron/contract';
import { useNotices } from '../../ui/notices/notices';
import { useKeys } from '../../shared/keys/useKeys';
import { useState } from 'react';
import { ErrorBoundary } from 'react-error-boundary';
import { Link, useParams } from 'react-router';
import { problemOf, useOrderShotsMutation, useProductionQuery, useShotRowsQuery } from '../../shared/api/api';
import { dragAnnouncements } from './dragAnnouncements';
import { Frame } from '../../ui/frame/Frame';
import { PageNote } from '../../ui/PageNote';
import { PreferenceChoices } from '../../ui/frame/PreferenceChoices';
import { Unreachable } from '../../ui/Unreachable';
import { WordChoice } from '../../ui/fields/WordChoice';
import { useUnits } from '../../shared/useUnits';
import { BrokenShotRow } from './BrokenShotRow';
import { DayTotals } from './DayTotals';
import { ProductionLook } from './ProductionLook';
import { ShotRow } from './ShotRow';
import { ShotRows } from './ShotRows';
import { byAttention, dayTotals, useForecasts } from './useForecasts';
import { useShotActions } from './useShotActions';
import { useWholeKit } from './wholeKit';
import { Button } from '../../ui/Button';
import { Key } from '../../ui/Key';
import textStyles from '../../ui/text.module.css';
import barStyles from '../../ui/frame/bars.module.css';
import styles from './ShotsPage.module.css';

/** Shots of a production in shooting order, with the state of each. */
export function ShotsPage() {
  const { productionId = '' } = useParams();
  const production = useProductionQuery(productionId);
  const shots = useShotRowsQuery(productionId);
  const error = production.error ?? shots.error;
  const retry = () => {
    void production.refetch();
    void shots.refetch();
  };
  return (
    <Frame
      screen="shots"
      top={
        <>
          <Link to="/productions">Productions</Link>
          <span className={textStyles.muted} aria-hidden="true">
            /
          </span>
          <h1 className={barStyles.topTitle}>{production.data?.name}</h1>
          <span className={barStyles.topBarGap} />
          <PreferenceChoices />
        </>
      }
    >
      {error && !shots.data && <Unreachable error={error} retry={retry} />}
      {production.data && shots.data && <ShotList production={production.data} shots={shots.data} />}
    </Frame>
  );
}

interface AboveShotsProps {
  readonly production: ProductionView;
  readonly forecasts: Parameters<typeof dayTotals>[0];
}

function AboveShots({ production, forecasts }: AboveShotsProps) {
  return (
    <>
      <DayTotals days={dayTotals(forecasts)} />
      <ProductionLook production={production} />
    </>
  );
}

/** Whether a plan of the list is loaded: the kit comes after it. */
function hasPlan(shots: readonly ShotRowView[], forecasts: ReturnType<typeof useForecasts>): boolean {
  return shots.some(({ id }) => forecasts.get(id)!.plan !== null);
}

const ORDERS = [
  { value: 'shooting', word: 'in shooting order' },
  { value: 'attention', word: 'what needs attention first' },
] as const;

function ShotList({ production, shots }: { readonly production: ProductionView; readonly shots: ShotRowView[] }) {
  const [order] = useOrderShotsMutation();
  const notices = useNotices();
  const actions = useShotActions(production, shots);
  const [sorting, setSorting] = useState<'shooting' | 'attention'>('shooting');
  const units = useUnits();
  const forecasts = useForecasts(production.id, shots, units);
  const kit = useWholeKit(hasPlan(shots, forecasts));
  useKeys('n', () => void actions.create());
  useKeys('mod+z', () => void actions.takeBack(), { preventDefault: true });
  const sensors = useRowSensors();

  async function onDragEnd({ active, over }: DragEndEvent): Promise<void> {
    if (!over || active.id === over.id) return;
    const ids = shots.map(({ id }) => id);
    const shotIds = arrayMove(ids, ids.indexOf(String(active.id)), ids.indexOf(String(over.id)));
    const answer = await order({ productionId: production.id, version: production.version, shotIds });
    if (answer.error) notices.fail(refusalText('The order was not saved', problemOf(answer.error).body));
  }

  if (shots.length === 0) {
    return <FirstShot actions={actions} />;
  }
  const shown = sorting === 'shooting' ? shots : byAttention(shots, forecasts);
  return (
    <section
      className={styles.shots}
      aria-label={sorting === 'shooting' ? 'Shots in shooting order' : 'Shots by what needs attention'}
    >
      <ShotsHead shots={shots} sorting={sorting} onSorting={setSorting} actions={actions} />
      <AboveShots production={production} forecasts={forecasts} />
      <DndContext
        sensors={sensors}
        collisionDetection={closestCenter}
        onDragEnd={(event) => void onDragEnd(event)}
        accessibility={{
          announcements: dragAnnouncements(new Map(shown.map(({ id, slate, title }) => [id, `${slate} ${title}`.trim()]))),
        }}
      >
        <SortableContext items={shown} strategy={verticalListSortingStrategy}>
          <ShotRows
            shots={shown}
            row={(shot, index) => (
              <ErrorBoundary key={`${shot.id} ${shot.version}`} fallback={<BrokenShotRow shot={shot} />}>
                <ShotRow
                  shot={shot}
                  forecast={forecasts.get(shot.id)!}
                  kit={kit}
                  isMovable={sorting === 'shooting'}
                  isNewScene={sorting === 'shooting' && shot.scene !== shots[index - 1]?.scene}
                  onDuplicate={() => void actions.duplicate(shot)}
                  onRemove={() => void actions.remove(shot)}
                />
              </ErrorBoundary>
            )}
          />
        </SortableContext>
      </DndContext>
    </section>
  );
}

/** Rows are moved by pointer and by keyboard. */
function useRowSensors() {
  return useSensors(
    useSensor(PointerSensor, { activationConstraint: { distance: 4 } }),
    useSensor(KeyboardSensor, { coordinateGetter: sortableKeyboardCoordinates }),
  );
}

function FirstShot({
  actions,
}: {
  readonly actions: {
    create: () => Promise<void>;
    duplicate: (shot: ShotRowView) => Promise<void>;
    remove: (shot: ShotRowView) => Promise<void>;
    takeBack: () => Promise<void>;
  };
}) {
  return (
    <PageNote title="No shots yet.">
      <p>
        A shot takes two tape measures and half a minute. Say who stands where and when the pull starts, and read whether it will
        be sharp.
      </p>
      <Button look="main" size="large" onClick={() => void actions.create()}>
        Make the first shot
      </Button>
    </PageNote>
  );
}

interface ShotsHeadProps {
  readonly shots: ShotRowView[];
  readonly sorting: 'shooting' | 'attention';
  readonly onSorting: (value: 'shooting' | 'attention') => void;
  readonly actions: {
    create: () => Promise<void>;
    duplicate: (shot: ShotRowView) => Promise<void>;
    remove: (shot: ShotRowView) => Promise<void>;
    takeBack: () => Promise<void>;
  };
}

function ShotsHead({ shots, sorting, onSorting, actions }: ShotsHeadProps) {
  return (
    <header className={styles.shotsHead}>
      <h2>
        {shots.length} {shots.length === 1 ? 'shot' : 'shots'}
      </h2>
      <WordChoice label="Order of the list" chosen={sorting} choices={ORDERS} onChoose={onSorting} />
      <span className={barStyles.topBarGap} />
      <Button look="main" onClick={() => void actions.create()}>
        New shot <Key isOnAccent>N</Key>
      </Button>
    </header>
  );
}
