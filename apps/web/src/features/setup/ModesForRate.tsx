import { chooseCamera, modesForRate, PLAN_LIMITS, type ShotPlan } from '@still-heron/core';
import { useKit } from '../../shared/api/useKit';
import { Button } from '../../ui/Button';
import { useEdit } from '../shot/useEdit';
import styles from './ModesForRate.module.css';

/** For a frame rate that the recording mode does not have: the modes of the camera that do, or else the rates that it has. */
export function ModesForRate({ plan }: { readonly plan: ShotPlan }) {
  const edit = useEdit();
  const { items } = useKit('cameras');
  const source = plan.kit.camera;
  const camera = items.find(({ id }) => id === source?.id)?.item;
  if (!source || !camera) return null;
  const { isOffered, modes, nearestFps } = modesForRate(camera, source.modeId, plan.captureFps);
  if (isOffered) return null;
  return (
    <p className={styles.ways}>
      {modes.map(({ id, name, fastestFps }) => (
        <Button key={id} onClick={() => edit(`record in ${name}`, (now) => chooseCamera(now, { ...source, modeId: id }, camera))}>
          {name}, up to {fastestFps}
        </Button>
      ))}
      {nearestFps !== null && nearestFps >= PLAN_LIMITS.captureFps.min && (
        <Button onClick={() => edit(`shoot ${nearestFps} frames a second`, (now) => ({ ...now, captureFps: nearestFps }))}>
          {nearestFps} frames a second
        </Button>
      )}
    </p>
  );
}
