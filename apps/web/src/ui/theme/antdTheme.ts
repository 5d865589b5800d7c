import { theme, type ThemeConfig } from 'antd';
import type { Light } from '../../shared/preferences';
import { PALETTES } from './palette';

/** antd theme for a light: our colours and typefaces, no shadows, small radii. */
export function antdTheme(light: Light): ThemeConfig {
  const p = PALETTES[light];
  return {
    algorithm: light === 'dusk' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    cssVar: { key: 'still-heron' },
    hashed: false,
    token: {
      colorPrimary: p.lantern,
      colorInfo: p.lantern,
      colorLink: p.lantern,
      colorSuccess: p.reed,
      colorError: p.rust,
      colorWarning: p.straw,
      colorText: p.mist,
      colorTextSecondary: p.haze,
      colorTextTertiary: p.haze,
      colorTextPlaceholder: p.haze,
      colorTextLightSolid: p.onLantern,
      colorBgBase: p.deep,
      colorBgContainer: p.bank,
      colorBgElevated: p.shoal,
      colorBorder: p.edge,
      colorBorderSecondary: p.rule,
      fontFamily: "'Atkinson Hyperlegible Next', sans-serif",
      fontFamilyCode: "'Atkinson Hyperlegible Mono', monospace",
      fontSize: 15,
      controlHeight: 36,
      borderRadius: 5,
      boxShadow: 'none',
      boxShadowSecondary: `0 0 0 1px ${p.rule}`,
      motion: false,
      wireframe: false,
    },
    components: {
      Button: {
        primaryShadow: 'none',
        defaultShadow: 'none',
        dangerShadow: 'none',
        fontWeight: 600,
        colorPrimary: p.lantern,
        primaryColor: p.onLantern,
        defaultBg: 'transparent',
      },
      Select: { optionSelectedBg: p.rule, colorBgContainer: 'transparent' },
      Input: { colorBgContainer: 'transparent' },
    },
  };
}
