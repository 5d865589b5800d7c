import { message, notification } from 'antd';
import { useEffect } from 'react';
import { Antd } from '../antd/Antd';
import type { Notices } from './notices';

interface Props {
  readonly onReady: (notices: Notices) => void;
}

/** Where notices are shown: short ones at the top, those with something to press below. */
export function NoticePlace(props: Props) {
  return (
    <Antd>
      <Places {...props} />
    </Antd>
  );
}

function Places({ onReady }: Props) {
  const [messages, messagePlace] = message.useMessage();
  const [offers, offerPlace] = notification.useNotification({ placement: 'bottomLeft' });
  useEffect(
    () =>
      onReady({
        fail: (text) => void messages.error(text),
        tell: (text) => void messages.success(text),
        show: ({ durationS, ...notice }) => offers.open({ ...notice, duration: durationS, closable: durationS > 0 }),
        close: (key) => offers.destroy(key),
      }),
    [messages, offers, onReady],
  );
  return (
    <>
      {messagePlace}
      {offerPlace}
    </>
  );
}
