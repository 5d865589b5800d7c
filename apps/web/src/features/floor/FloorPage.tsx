import { layPicture, type Place, scalePicture, type ShotPlan, startFloor, type UnitSystem } from '@still-heron/core';
import type { ProblemText } from '@still-heron/wording';
import { useCallback, useState } from 'react';
import { sendPicture } from '../../shared/api/pictures';
import { PageNote } from '../../ui/PageNote';
import { useAppDispatch, useAppSelector, useAppStore } from '../../shared/store/hooks';
import { useKeys } from '../../shared/keys/useKeys';
import { useMeasuring } from '../marks/useMeasuring';
import { itemSelected, selectHeld, selectSession } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';
import { usePlaying, usePlayKeys } from '../shot/usePlaying';
import { useUnits } from '../../shared/useUnits';
import { useVerdict } from '../shot/useVerdict';
import { FloorDrawing } from './FloorDrawing';
import { middleOf } from './floorLayout';
import { FloorNotice, KnownLength } from './FloorNotice';
import { FloorSentence } from './FloorSentence';
import { FloorSide } from './FloorSide';
import { type FloorMode, FloorTools, type ToolName } from './FloorTools';
import { useFloorEdits } from './GroupPanel';
import { Lanes } from './Lanes';
import { SpotTape } from './SpotTape';
import { BlockingMovesPanel } from './BlockingMovesPanel';
import { RehearsalPanel } from './RehearsalPanel';
import { TimeBar } from '../shot/TimeBar';
import { useBlockingMoveDraft } from './useBlockingMoveDraft';
import { Button } from '../../ui/Button';
import layoutStyles from '../../ui/layout.module.css';
import styles from './FloorPage.module.css';

/** Floor step: the set from above, with camera and subjects over time. */
export function FloorPage() {
  const plan = useAppSelector(selectPlan)!;
  usePlayKeys(plan);
  usePlaying(plan.durationS);
  return plan.floor === null ? <FirstDrawing plan={plan} /> : <DrawnFloor plan={plan} />;
}

function DrawnFloor({ plan }: { readonly plan: ShotPlan }) {
  const units = useUnits();
  const judged = useVerdict();
  const { tool, setTool, mode, pickMode, length, setLength, spot, setSpot, move } = useFloorMode(plan);
  const measuring = useMeasuring();
  const startScale = useCallback(() => setTool('scale'), [setTool]);
  const movePicture = useCallback(() => setTool('picture'), [setTool]);
  const picture = useFloorPicture(startScale);
  const preview = mode === 'moves' ? move.tried : null;
  const shown = preview?.plan ?? plan;
  const verdict = preview?.verdict ?? judged?.verdict;
  const isJudged = verdict?.status === 'judged' ? verdict : null;
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={layoutStyles.surface}>
        <FloorSentence plan={shown} verdict={isJudged} units={units} />
        <FloorTools
          plan={plan}
          tool={tool}
          mode={mode}
          onTool={setTool}
          onMode={pickMode}
          onPicture={(file) => void picture.lay(file)}
        />
        <div className={styles.floorStage}>
          {picture.problem && <FloorNotice problem={picture.problem} onClose={picture.forget} />}
          {spot && <SpotTape plan={plan} spot={spot} units={units} onClose={() => setSpot(null)} />}
          {length && <PictureLength units={units} length={length} onLength={setLength} />}
          <FloorDrawing
            plan={shown}
            verdict={isJudged}
            units={units}
            tool={tool}
            knownLength={length}
            isPreview={preview !== null}
            fitFor={mode === 'moves' && move.draft ? `${move.draft.blockingMove.id} ${move.draft.subjectId}` : ''}
            spot={spot}
            onSpot={setSpot}
            onToolDone={() => setTool(null)}
            onLength={(from, to) => {
              setTool(null);
              setLength({ from, to });
            }}
          />
        </div>
        <TimeBar durationS={plan.durationS} captureFps={plan.captureFps} />
        <Lanes plan={shown} verdict={isJudged} />
      </div>
      {mode === 'draw' && (
        <FloorSide plan={plan} units={units} measuring={measuring} onScale={startScale} onMovePicture={movePicture} />
      )}
      {mode === 'rehearse' && <RehearsalPanel plan={plan} />}
      {mode === 'moves' && <MovesSide plan={plan} units={units} move={move} pickMode={pickMode} />}
    </div>
  );
}

function PictureLength({
  units,
  length,
  onLength,
}: {
  readonly units: UnitSystem;
  readonly length: { readonly from: Place; readonly to: Place };
  readonly onLength: (value: { readonly from: Place; readonly to: Place } | null) => void;
}) {
  const dispatch = useAppDispatch();
  return (
    <KnownLength
      units={units}
      onLength={(mm) => {
        dispatch(editPlan('scale the picture', (now) => scalePicture(now, length.from, length.to, mm)));
        onLength(null);
      }}
      onGiveUp={() => onLength(null)}
    />
  );
}

interface MovesSideProps {
  readonly plan: ShotPlan;
  readonly units: UnitSystem;
  readonly move: ReturnType<typeof useBlockingMoveDraft>;
  readonly pickMode: (picked: FloorMode) => void;
}

function MovesSide({ plan, units, move, pickMode }: MovesSideProps) {
  return (
    <BlockingMovesPanel
      plan={plan}
      units={units}
      draft={move.draft}
      values={move.tried?.values ?? {}}
      shown={move.tried?.plan ?? plan}
      figures={move.tried?.figures ?? []}
      onPick={move.pick}
      onDraft={move.setDraft}
      onApply={() => {
        move.apply();
        pickMode('draw');
      }}
    />
  );
}

/** What the page is doing: the tool in use, drawing or rehearsing or trying a move, and a length drawn on the picture. */
function useFloorMode(plan: ShotPlan) {
  const [tool, setTool] = useState<ToolName | null>(null);
  const [mode, setMode] = useState<FloorMode>('draw');
  const [length, setLength] = useState<{ readonly from: Place; readonly to: Place } | null>(null);
  const [spot, setSpot] = useState<Place | null>(null);
  const move = useBlockingMoveDraft(plan);
  useDrawnKeys(() => {
    setTool(null);
    setLength(null);
    setSpot(null);
    move.pick(null);
  });
  const pickMode = (picked: FloorMode) => {
    setMode(picked);
    setTool(null);
    move.pick(null);
  };
  useKeys('m', () => pickMode(mode === 'moves' ? 'draw' : 'moves'));
  return { tool, setTool, mode, pickMode, length, setLength, spot, setSpot, move };
}

function FirstDrawing({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const hasTaped = plan.marks.some(({ distanceMm }) => distanceMm !== null);
  return (
    <PageNote title="The set from above, for a shot in which people or the camera move.">
      <p>
        Draw where the subjects stand and where the camera goes. The distances follow at every frame.{' '}
        {hasTaped
          ? 'Subjects that are already taped are placed at their tape distances.'
          : 'If nobody moves, tape distances in Pull are enough.'}
      </p>
      <Button look="main" size="large" onClick={() => dispatch(editPlan('draw the set', startFloor))}>
        Draw the set
      </Button>
    </PageNote>
  );
}

/** Keys for the selected items: copy, paste, delete, select all. */
function useDrawnKeys(onPutDown: () => void) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const edits = useFloorEdits();
  const held = () => selectHeld(store.getState());
  useKeys('esc', () => {
    onPutDown();
    dispatch(itemSelected(null));
  });
  useKeys('delete, backspace', () => {
    if (held().length > 0) edits.remove(held());
  });
  useKeys('mod+a', edits.selectAll, { preventDefault: true });
  useKeys('mod+c', () => {
    if (held().length > 0) edits.copy(held());
  });
  useKeys('mod+v', () => edits.putDown(selectSession(store.getState()).copied), { preventDefault: true });
}

/** Uploads a picture of the set, places it in the centre of the view, and asks for its scale. */
function useFloorPicture(onLaid: () => void) {
  const dispatch = useAppDispatch();
  const [problem, setProblem] = useState<ProblemText | null>(null);
  return {
    problem,
    forget: () => setProblem(null),
    async lay(file: File): Promise<void> {
      const sent = await sendPicture(file);
      if (sent.status === 'refused') return setProblem(sent.problem);
      const { id: pictureId, widthPx, heightPx } = sent.picture;
      const name = file.name.slice(0, 80) || 'picture';
      const laid = { pictureId, name, aspect: widthPx / heightPx };
      setProblem(null);
      dispatch(editPlan('add a floor plan picture', (now) => layPicture(now, laid, middleOf(now))));
      onLaid();
    },
  };
}
