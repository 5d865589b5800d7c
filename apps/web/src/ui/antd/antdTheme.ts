import { theme, type ThemeConfig } from 'antd';
import type { Light } from '../../shared/preferences';
import { PALETTES } from '../theme/palette';

/** antd theme for a light: our colours and typefaces, no shadows, small radii. */
export function antdTheme(light: Light): ThemeConfig {
  const palette = PALETTES[light];
  return {
    algorithm: light === 'dusk' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    cssVar: { key: 'still-heron' },
    hashed: false,
    token: {
      colorPrimary: palette.accent,
      colorInfo: palette.accent,
      colorLink: palette.accent,
      colorSuccess: palette.ok,
      colorError: palette.error,
      colorWarning: palette.warning,
      colorText: palette.text,
      colorTextSecondary: palette.textMuted,
      colorTextTertiary: palette.textMuted,
      colorTextPlaceholder: palette.textMuted,
      colorTextLightSolid: palette.onAccent,
      colorBgBase: palette.page,
      colorBgContainer: palette.panel,
      colorBgElevated: palette.raised,
      colorBorder: palette.border,
      colorBorderSecondary: palette.line,
      fontFamily: "'Atkinson Hyperlegible Next', sans-serif",
      fontFamilyCode: "'Atkinson Hyperlegible Mono', monospace",
      fontSize: 15,
      controlHeight: 36,
      borderRadius: 5,
      boxShadow: 'none',
      boxShadowSecondary: `0 0 0 1px ${palette.line}`,
      motion: false,
      wireframe: false,
    },
    components: {
      Button: {
        primaryShadow: 'none',
        defaultShadow: 'none',
        dangerShadow: 'none',
        fontWeight: 600,
        colorPrimary: palette.accent,
        primaryColor: palette.onAccent,
        defaultBg: 'transparent',
      },
      Select: { optionSelectedBg: palette.line, colorBgContainer: 'transparent' },
      Input: { colorBgContainer: 'transparent' },
      Tooltip: { colorBgSpotlight: palette.raised, colorTextLightSolid: palette.text },
    },
  };
}
