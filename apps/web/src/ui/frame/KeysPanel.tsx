import { useEffect, useRef } from 'react';
import { PAGE_KEYS, type PageName } from '../../shared/keys/pageKeys';
import { Button } from '../Button';
import { Key } from '../Key';
import barStyles from './bars.module.css';

interface Props {
  readonly screen: PageName;
  readonly onClose: () => void;
}

/** Lists the keys of the current page. It covers the side column and leaves the main area visible. */
export function KeysPanel({ screen, onClose }: Props) {
  const close = useRef<HTMLButtonElement>(null);
  useEffect(() => close.current?.focus(), []);
  return (
    <aside
      className={barStyles.keysPanel}
      aria-label="Keys of this screen"
      onKeyDown={(event) => event.key === 'Escape' && onClose()}
    >
      <header>
        <h2>Keys</h2>
        <Button look="quiet" ref={close} onClick={onClose}>
          Hide
        </Button>
      </header>
      <dl>
        {PAGE_KEYS[screen].map(({ keys, does }) => (
          <div key={does}>
            <dt>
              {keys.map((key, index) => (
                <Key key={index}>{key}</Key>
              ))}
            </dt>
            <dd>{does}</dd>
          </div>
        ))}
      </dl>
    </aside>
  );
}
