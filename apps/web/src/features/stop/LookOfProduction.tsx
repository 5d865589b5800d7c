import { useChangeProductionMutation, useProductionQuery } from '../../shared/api/api';
import { useAppSelector } from '../../shared/store/hooks';
import { Button } from '../../ui/Button';
import { selectProductionId } from '../shot/savingSlice';
import textStyles from '../../ui/text.module.css';

/** Takes the blur of a shot that is liked as the look of new shots. */
export function LookOfProduction({ blurPercent }: { readonly blurPercent: number }) {
  const productionId = useAppSelector(selectProductionId);
  const { data: production } = useProductionQuery(productionId ?? '', { skip: !productionId });
  const [change] = useChangeProductionMutation();
  if (!production) return null;
  const { id, version, lookBlurPercent } = production;
  if (lookBlurPercent === blurPercent) return <p className={textStyles.muted}>New shots of this production begin with it.</p>;
  return (
    <Button look="quiet" onClick={() => void change({ id, version, lookBlurPercent: blurPercent })}>
      Begin new shots with {blurPercent} %
    </Button>
  );
}
