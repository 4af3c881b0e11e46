/** The colour spaces that are used: others are not shipped. */
import {
  modeHsl,
  modeLab,
  modeLab65,
  modeLrgb,
  modeOklab,
  modeOklch,
  modeRgb,
  useMode as withMode,
} from 'culori/fn'

for (const mode of [modeRgb, modeLrgb, modeHsl, modeOklab, modeOklch, modeLab, modeLab65]) withMode(mode)
