import { createRoot } from 'react-dom/client';
import { Provider } from 'react-redux';
import { App } from './app/App';
import { createStore } from './app/store';
import './app/base.css';

createRoot(document.getElementById('root')!).render(
  <Provider store={createStore(window.localStorage)}>
    <App />
  </Provider>,
);
