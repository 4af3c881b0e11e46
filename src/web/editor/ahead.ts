/** What is not needed to show a board comes behind it, when there is nothing else to do: from then on all goes on without a network. */
import { contextMenu } from '../board/fetch-menu'
import { fetchPanels } from '../parts/floating'
import { whenIdle } from '../parts/when-idle'
import { backdropDialog, cutDialog } from '../pictures/fetch-pictures'
import { combining, lettering, masking, pointsLayer } from '../shapes/fetch-points'
import { pictureCleaner } from '../shelf/read-picture'
import { blockSpec } from '../spec/fetch-block-spec'
import { colorPanel } from '../spec/fetch-colors'
import { writing } from '../text/writing'
import { tokensDialog } from '../tokens/fetch-tokens'
import { fontsDialog } from '../type/fetch-fonts'

/** @returns stops waiting */
export function fetchAhead(): () => void {
  // Where one cannot be had now, whoever needs it asks again, and is told.
  const fetchAll = () => {
    const parts: Promise<unknown>[] = [
      fetchPanels(),
      contextMenu(),
      blockSpec(),
      colorPanel(),
      tokensDialog(),
      fontsDialog(),
      backdropDialog(),
      cutDialog(),
      writing(),
      pictureCleaner(),
      import('../shelf/draw-picture'),
      combining(),
      pointsLayer(),
      lettering(),
      masking(),
      import('../../core/handoff/svg/page'),
      import('../../core/document/save'),
    ]
    for (const part of parts) part.catch(() => {})
    // From here on nothing waits for the network.
    void Promise.allSettled(parts).then(() => {
      document.documentElement.dataset.parts = 'here'
    })
  }
  return whenIdle(fetchAll)
}
