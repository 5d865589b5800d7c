import { savingText } from '@still-heron/wording';
import clsx from 'clsx';
import { api } from '../../shared/api/api';
import { useAppDispatch, useAppSelector } from '../../shared/store/hooks';
import { shotSaver } from '../shot/saving';
import { selectSaving } from '../shot/savingSlice';
import { Button } from '../../ui/Button';
import barStyles from '../../ui/frame/bars.module.css';
import textStyles from '../../ui/text.module.css';

/** Save state and time, with a link to saved versions. If saving fails, it says why, and that nothing is lost. */
export function SaveState({ onHistory }: { readonly onHistory?: () => void }) {
  const saving = useAppSelector(selectSaving);
  const dispatch = useAppDispatch();
  const { status } = saving;
  const { text, tone, title } = savingText(saving);
  // it was deleted elsewhere while it was open here
  const restore = async () => {
    await dispatch(api.endpoints.restoreShot.initiate(saving.id!));
    await dispatch(shotSaver.saveNow());
  };
  return (
    <span className={clsx(barStyles.saveState, textStyles[`tone-${tone}`])} role="status" title={title}>
      {onHistory && status !== 'refused' ? (
        <Button look="quiet" aria-label={`${text}: saved versions`} onClick={onHistory}>
          {text}
        </Button>
      ) : (
        <span>{text}</span>
      )}
      {status === 'refused' &&
        (saving.problem?.code === 'not-found' ? (
          <Button look="quiet" onClick={() => void restore()}>
            Restore the shot
          </Button>
        ) : (
          <Button look="quiet" onClick={() => void dispatch(shotSaver.saveNow())}>
            Try again
          </Button>
        ))}
    </span>
  );
}
