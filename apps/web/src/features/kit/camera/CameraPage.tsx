import { aidMatrix, type KitCamera } from '@still-heron/core';
import { useState } from 'react';
import clsx from 'clsx';
import { useOpenItem } from '../useOpenItem';
import { today } from '../../../shared/today';
import { AidGuide } from './AidGuide';
import { AidMatrix } from './AidMatrix';
import { CameraFigures } from './CameraFigures';
import layoutStyles from '../../../ui/layout.module.css';
import styles from './CameraPage.module.css';
import textStyles from '../../../ui/text.module.css';

/** A camera: test results of its focus aids, and its recording modes. */
export function CameraPage() {
  const { item, edit } = useOpenItem('cameras');
  const [isGuided, setIsGuided] = useState(false);
  if (!item) return null;
  return (
    <div className={layoutStyles.stepPage}>
      <div data-testid="surface" className={clsx(layoutStyles.surface, styles.cameraSurface)}>
        <CameraSentence camera={item} />
        {isGuided ? (
          <AidGuide camera={item} onChange={edit} onClose={() => setIsGuided(false)} />
        ) : (
          <AidMatrix camera={item} onChange={edit} onGuide={() => setIsGuided(true)} />
        )}
      </div>
      <CameraFigures camera={item} onChange={edit} />
    </div>
  );
}

/** How many cells are tested and how many are outdated. */
function CameraSentence({ camera }: { readonly camera: KitCamera }) {
  const cells = aidMatrix(camera, today());
  const untested = cells.filter(({ answer }) => answer === 'untested').length;
  const again = cells.filter(({ retest }) => retest !== null);
  const software = again.filter(({ retest }) => retest === 'other-software').length;
  return (
    <p data-testid="sentence" className={layoutStyles.sentence}>
      {cells.length === 0 ? (
        'No display yet. Add a display, then test its focus aids.'
      ) : (
        <>
          <span className={untested === cells.length ? textStyles.toneEdge : textStyles.toneSharp}>
            {cells.length - untested} of {cells.length} tested.
          </span>{' '}
          {again.length > 0 && (
            <span className={textStyles.toneEdge}>
              {again.length} to test again:{' '}
              {software > 0 ? `${software} with other software` : `older than ${camera.retestAfterDays} days`}.
            </span>
          )}
          {again.length === 0 && (untested > 0 ? 'Untested aids may fail on the day.' : 'All tests are current.')}
        </>
      )}
    </p>
  );
}
