import { type ShotPlan, splitObstacle, splitShot } from '@still-heron/core';
import { halfSlates, refusalText, splitObstacleText } from '@still-heron/wording';
import { useNotices } from '../../ui/notices/notices';
import { useNavigate, useParams } from 'react-router';
import { problemOf, useCreateShotMutation } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { selectProductionId } from '../shot/savingSlice';
import { selectDocument } from '../shot/shotSlice';

/** Cuts the open shot at a time into two shots, after it in shooting order, and opens the first. */
export function useSplit(): (atS: number) => Promise<void> {
  const navigate = useNavigate();
  const notices = useNotices();
  const { shotId = '' } = useParams();
  const productionId = useAppSelector(selectProductionId);
  const document = useAppSelector(selectDocument);
  const [createShot] = useCreateShotMutation();
  return async (atS) => {
    if (!document || productionId === null) return;
    const { scene, slate, title, plan } = document;
    const halves = splitShot(plan, atS);
    if (halves === null) return notices.fail(splitObstacleText(splitObstacle(plan, atS)!, plan));
    const [first, second] = halves;
    const [slateA, slateB] = halfSlates(slate);
    const after = async (half: ShotPlan, halfSlate: string, afterShotId: string) => {
      const { data, error } = await createShot({
        productionId,
        document: { scene, slate: halfSlate, title, plan: half },
        afterShotId,
      });
      if (error) notices.fail(refusalText('The shot was not cut', problemOf(error).body));
      return data?.id ?? null;
    };
    const firstId = await after(first, slateA, shotId);
    if (firstId === null) return;
    const secondId = await after(second, slateB, firstId);
    if (secondId !== null) await navigate(`/shots/${firstId}/pull`);
  };
}
