/** Tips all over the app, once what floats is there. */
import { usePanels } from './floating'

export function TipsLayer() {
  const panels = usePanels()
  return panels ? <panels.Tips /> : null
}
