import { StyleProvider } from '@ant-design/cssinjs';
import { ConfigProvider } from 'antd';
import { createContext, type ReactNode, useContext } from 'react';
import { LightContext } from '../theme/light';
import { antdTheme } from './antdTheme';

/** One object per light: antd works out a theme once per object. */
const THEMES = { noon: antdTheme('noon'), dusk: antdTheme('dusk') };

const IsThemed = createContext(false);

/**
 * Our theme for the antd components inside. Each control brings it along, so that a page without any loads nothing of antd; inside
 * another one it does nothing.
 */
export function Antd({ children }: { readonly children: ReactNode }) {
  const light = useContext(LightContext);
  if (useContext(IsThemed)) return children;
  return (
    <IsThemed value>
      <StyleProvider layer>
        <ConfigProvider theme={THEMES[light]} wave={{ disabled: true }}>
          {children}
        </ConfigProvider>
      </StyleProvider>
    </IsThemed>
  );
}
