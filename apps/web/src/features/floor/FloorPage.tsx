import { removeCameraKey, removeLandmark, removeMark, type ShotPlan, startFloor } from '@still-heron/core';
import { Button } from 'antd';
import { useState } from 'react';
import { PageNote } from '../../app/PageNote';
import { useAppDispatch, useAppSelector, useAppStore } from '../../app/store';
import { useKeys } from '../../app/useKeys';
import { itemSelected, selectSession } from '../shot/sessionSlice';
import { editPlan, selectPlan } from '../shot/shotSlice';
import { usePlaying, usePlayKeys } from '../shot/usePlaying';
import { useUnits } from '../shot/useUnits';
import { useVerdict } from '../shot/useVerdict';
import { FloorDrawing } from './FloorDrawing';
import { FloorSentence } from './FloorSentence';
import { FloorSide } from './FloorSide';
import { TimeBar } from './TimeBar';
import { FloorTools, type ToolName } from './FloorTools';
import './floor.css';

/** The set from above: where the camera and everyone are and go, and what the lens makes of it as the time runs. */
export function FloorPage() {
  const plan = useAppSelector(selectPlan)!;
  const units = useUnits();
  const judged = useVerdict();
  const verdict = judged?.verdict.status === 'judged' ? judged.verdict : null;
  const [tool, setTool] = useState<ToolName | null>(null);
  usePlayKeys(plan);
  usePlaying(plan.durationS);
  useFloorKeys(() => setTool(null));
  if (plan.floor === null) return <FirstDrawing plan={plan} />;
  return (
    <div className="step-page">
      <div className="surface">
        <FloorSentence plan={plan} verdict={verdict} units={units} />
        <FloorTools plan={plan} tool={tool} onTool={setTool} />
        <FloorDrawing plan={plan} verdict={verdict} units={units} tool={tool} onToolDone={() => setTool(null)} />
        <TimeBar durationS={plan.durationS} captureFps={plan.captureFps} />
      </div>
      <FloorSide plan={plan} units={units} />
    </div>
  );
}

function FirstDrawing({ plan }: { readonly plan: ShotPlan }) {
  const dispatch = useAppDispatch();
  const hasTaped = plan.marks.some(({ distanceMm }) => distanceMm !== null);
  return (
    <PageNote title="The set from above, when someone or the camera moves.">
      <p>
        Draw where everyone stands and where the camera goes, and the distances follow at every frame.{' '}
        {hasTaped
          ? 'Who is taped already is put where the tape has them.'
          : 'For people who stand still, taping them in Pull is enough.'}
      </p>
      <Button type="primary" size="large" onClick={() => dispatch(editPlan('draw the set', startFloor))}>
        Draw the set
      </Button>
    </PageNote>
  );
}

function useFloorKeys(onPutDown: () => void): void {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  useKeys('esc', () => {
    onPutDown();
    dispatch(itemSelected(null));
  });
  useKeys('delete, backspace', () => {
    const { selection } = selectSession(store.getState());
    if (selection?.kind === 'camera')
      dispatch(editPlan('the camera does not go there', (now) => removeCameraKey(now, selection.id)));
    if (selection?.kind === 'landmark') dispatch(editPlan('take a landmark away', (now) => removeLandmark(now, selection.id)));
    if (selection?.kind === 'mark') dispatch(editPlan('take a mark away', (now) => removeMark(now, selection.id)));
    if (selection) dispatch(itemSelected(null));
  });
}
