import { theme, type ThemeConfig } from 'antd';
import { FACE, token, type Shift, type Token } from './tokens.ts';

/** The component library in our colours. */
export function antdTheme(shift: Shift): ThemeConfig {
  const colour = (name: Token) => token(shift, name);
  const still = window.matchMedia('(prefers-reduced-motion: reduce)').matches;
  return {
    algorithm: shift === 'night' ? theme.darkAlgorithm : theme.defaultAlgorithm,
    token: {
      fontFamily: FACE,
      fontSize: 15,
      borderRadius: 3,
      controlHeight: 40,
      motion: !still,
      colorPrimary: colour('brass'),
      colorError: colour('red'),
      colorSuccess: colour('green'),
      colorText: colour('ink'),
      colorTextDescription: colour('soft'),
      colorTextPlaceholder: colour('placeholder'),
      colorBgContainer: colour('field'),
      colorBgElevated: colour('paper'),
      colorBorder: colour('border'),
    },
    components: {
      Button: {
        primaryShadow: 'none',
        defaultShadow: 'none',
        colorTextLightSolid: colour('onPrimary'),
      },
      Segmented: {
        trackBg: colour('track'),
        itemSelectedBg: colour(shift === 'night' ? 'line' : 'field'),
      },
    },
  };
}
