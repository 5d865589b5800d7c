import { type ComponentType, Suspense, useEffect } from 'react';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { sendTakes } from '../features/roll/sendTakes';
import { kitSaver } from '../features/kit/kitSaving';
import { shotSaver } from '../features/shot/saving';
import { selectEntry } from '../shared/api/entry';
import { lazyPart } from '../shared/lazyPart';
import { PartFailed } from '../ui/PartFailed';
import { pages } from './pages';
import { PALETTES } from '../ui/theme/palette';
import { useAppDispatch, useAppSelector } from '../shared/store/hooks';
import { LightContext } from '../ui/theme/light';
import { NoticesProvider } from '../ui/notices/NoticesProvider';

/**
 * The router loads the chunk of a page before it shows the page. React.lazy would show an empty page first, and then delay the
 * real one by a third of a second per level to avoid flicker.
 */
const router = createBrowserRouter(
  [
    { path: '/', lazy: async () => withProps((await pages.productions()).ProductionsPage, { opensSingle: true }) },
    { path: '/productions', lazy: async () => withProps((await pages.productions()).ProductionsPage, {}) },
    { path: '/productions/:productionId/shots', lazy: async () => ({ Component: (await pages.shots()).ShotsPage }) },
    { path: '/productions/:productionId/takes', lazy: async () => ({ Component: (await pages.log()).LogPage }) },
    {
      path: '/shots/:shotId',
      errorElement: <ShotFailedPart />,
      lazy: async () => ({ Component: (await pages.shot()).ShotPage }),
      children: [
        { index: true, element: <Navigate to="pull" replace /> },
        { path: 'setup', lazy: async () => ({ Component: (await pages.setup()).SetupPage }) },
        { path: 'floor', lazy: async () => ({ Component: (await pages.floor()).FloorPage }) },
        { path: 'pull', lazy: async () => ({ Component: (await pages.pull()).PullPage }) },
        { path: 'stop', lazy: async () => ({ Component: (await pages.stop()).StopPage }) },
        { path: 'roll', lazy: async () => ({ Component: (await pages.roll()).RollPage }) },
        { path: 'takes', lazy: async () => ({ Component: (await pages.takes()).TakesPage }) },
      ],
    },
    { path: '/devices', lazy: async () => ({ Component: (await pages.network()).NetworkPage }) },
    { path: '/backups', lazy: async () => ({ Component: (await pages.backups()).BackupsPage }) },
    { path: '/kit', element: <Navigate to="/kit/lenses" replace /> },
    { path: '/kit/:kind/:itemId?', lazy: async () => ({ Component: (await pages.kit()).KitPage }) },
    { path: '*', element: <Navigate to="/" replace /> },
  ].map((route) => ({ HydrateFallback: Nothing, errorElement: <PartFailed />, ...route })),
);

/** Loaded only when it is needed. */
const ShotFailed = lazyPart(() => pages.shotFailed().then(({ ShotFailed }) => ShotFailed));

function ShotFailedPart() {
  return (
    <Suspense>
      <ShotFailed />
    </Suspense>
  );
}

function withProps<P extends object>(Page: ComponentType<P>, props: P) {
  return { element: <Page {...props} /> };
}

function Nothing() {
  return null;
}

export function App() {
  const light = useAppSelector((state) => state.preferences.light);
  const { isAsked } = useAppSelector(selectEntry);
  const dispatch = useAppDispatch();
  useEffect(() => {
    // again when this device has given the crew code
    if (isAsked) return undefined;
    const sendAll = () => {
      for (const { saveNow, sendLeftovers } of [shotSaver, kitSaver])
        void dispatch(saveNow()).then(() => dispatch(sendLeftovers()));
      void sendTakes(dispatch);
    };
    sendAll();
    window.addEventListener('online', sendAll);
    return () => window.removeEventListener('online', sendAll);
  }, [dispatch, isAsked]);
  useEffect(() => {
    const { style, dataset } = document.documentElement;
    const { subjects, ...colours } = PALETTES[light];
    for (const [name, colour] of Object.entries(colours))
      style.setProperty(`--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`, colour);
    subjects.forEach((colour, index) => style.setProperty(`--subject-${index + 1}`, colour));
    dataset['light'] = light;
    style.colorScheme = light === 'dusk' ? 'dark' : 'light';
  }, [light]);
  return (
    <LightContext value={light}>
      <NoticesProvider>
        <RouterProvider router={router} />
      </NoticesProvider>
    </LightContext>
  );
}
