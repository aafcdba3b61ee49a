import { theme, type ThemeConfig } from 'antd';

export type Shift = 'day' | 'night';

/** The component library in our colours; the values mirror theme.css. */
export function antdTheme(shift: Shift): ThemeConfig {
  const night = shift === 'night';
  const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  return {
    algorithm: night ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: "'Atkinson Hyperlegible Next Variable', 'Shop Signs', sans-serif",
      fontSize: 15,
      borderRadius: 3,
      controlHeight: 40,
      motion: !still,
      colorPrimary: night ? '#e0b04e' : '#8f6310',
      colorError: night ? '#f09a85' : '#94301f',
      colorSuccess: night ? '#7cc3a0' : '#2a6146',
      colorText: night ? '#e8e6df' : '#1d2127',
      colorTextDescription: night ? '#a5a9ae' : '#575c5b',
      colorTextPlaceholder: night ? '#8d9298' : '#6b706e',
      colorBgContainer: night ? '#14161b' : '#fffefb',
      colorBgElevated: night ? '#1f222a' : '#f7f5f0',
      colorBorder: night ? '#4a505d' : '#b9b3a4',
    },
    components: {
      Button: {
        primaryShadow: 'none',
        defaultShadow: 'none',
        colorTextLightSolid: night ? '#1d1705' : '#ffffff',
      },
      Segmented: { trackBg: night ? '#262a33' : '#dedacf', itemSelectedBg: night ? '#3a3f4b' : '#fffefb' },
    },
  };
}
