import { App as AntdApp, ConfigProvider } from 'antd';
import { lazy, Suspense, useEffect, useMemo } from 'react';
import { createBrowserRouter, Navigate, RouterProvider } from 'react-router';
import { saveNow, sendLeftovers } from '../features/shot/saving';
import { pages } from './pages';
import { PALETTES } from './palette';
import { useAppDispatch, useAppSelector } from './store';
import { antdTheme } from './theme';

const ProductionsPage = lazy(pages.productions);
const ShotsPage = lazy(pages.shots);
const ShotPage = lazy(pages.shot);
const SetupPage = lazy(pages.setup);
const PullPage = lazy(pages.pull);
const KitPage = lazy(pages.kit);

const router = createBrowserRouter([
  { path: '/', element: <ProductionsPage goesOn /> },
  { path: '/productions', element: <ProductionsPage /> },
  { path: '/productions/:productionId/shots', element: <ShotsPage /> },
  {
    path: '/shots/:shotId',
    element: <ShotPage />,
    children: [
      { index: true, element: <Navigate to="pull" replace /> },
      { path: 'setup', element: <SetupPage /> },
      { path: 'pull', element: <PullPage /> },
    ],
  },
  { path: '/kit', element: <Navigate to="/kit/lenses" replace /> },
  { path: '/kit/:kind/:itemId?', element: <KitPage /> },
  { path: '*', element: <Navigate to="/" replace /> },
]);

export function App() {
  const light = useAppSelector((state) => state.preferences.light);
  const theme = useMemo(() => antdTheme(light), [light]);
  const dispatch = useAppDispatch();
  useEffect(() => {
    void dispatch(sendLeftovers());
    const onOnline = () => void dispatch(saveNow());
    window.addEventListener('online', onOnline);
    return () => window.removeEventListener('online', onOnline);
  }, [dispatch]);
  useEffect(() => {
    const { style, dataset } = document.documentElement;
    const { currents, ...colours } = PALETTES[light];
    for (const [name, colour] of Object.entries(colours))
      style.setProperty(`--${name.replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`)}`, colour);
    currents.forEach((colour, index) => style.setProperty(`--current-${index}`, colour));
    dataset['light'] = light;
    style.colorScheme = light === 'dusk' ? 'dark' : 'light';
  }, [light]);
  return (
    <ConfigProvider theme={theme} wave={{ disabled: true }}>
      <AntdApp className="app" notification={{ placement: 'bottomLeft' }} style={{ height: '100%' }}>
        <Suspense fallback={null}>
          <RouterProvider router={router} />
        </Suspense>
      </AntdApp>
    </ConfigProvider>
  );
}
