/** A picture of what a shelf item will be: the item itself, laid out by the core on the project's widest view. */
import { useEffect, useState } from 'react'
import { Document } from '../../core/document/document'
import { FORMAT, type NodeTree, VERSION, type View } from '../../core/document/schema'
import { PageLayout } from '../../core/layout/page'
import { arriving } from '../../core/shelf/arriving'
import type { ShelfItem } from '../../core/shelf/build'
import { Builder, plant } from '../../core/shelf/build'
import { library, paragraphs } from '../session/fonts'

/** What a block is shown on, near its own size: px, and how far from the edges. */
const STAGE = { width: 460, across: 60, down: 40 }
const ICON_STAGE = { width: 86, across: 31, down: 12 }

const cache = new Map<string, string>()

async function draw(item: ShelfItem, views: View[], tokens: Record<string, unknown>): Promise<string> {
  const key = `${item.id}:${library.version}:${JSON.stringify(views[0])}:${JSON.stringify(tokens)}`
  const known = cache.get(key)
  if (known) return known
  let count = 0
  const builder = new Builder(views)
  const draft = item.build(builder)
  const stage = item.shelf === 'icons' ? ICON_STAGE : STAGE
  const root =
    draft.kind === 'section'
      ? draft
      : builder.section(
          'Stage',
          {
            flow: 'column',
            paddingTop: stage.down,
            paddingBottom: stage.down,
            fullBleed: true,
            paddingLeft: stage.across,
            paddingRight: stage.across,
          },
          [draft],
        )
  // Headers and footers are low: on a narrower window they are readable here.
  const low = draft.props.tag === 'header' || draft.props.tag === 'footer'
  const width = draft.kind !== 'section' ? stage.width : low ? 820 : views[0]!.width
  const on = (sections: NodeTree[]) =>
    Document.fromFile({
      format: FORMAT,
      version: VERSION,
      name: 'Shelf',
      tokens,
      views,
      assets: [],
      pages: [{ id: 'stage', name: item.name, path: '/', order: 'a0', views: [], sections }],
    })
  const tree = plant(root, () => `s${count++}`, 'a0')
  const doc = on([arriving(on([]), tree)])
  const { pageSvg } = await import('../../core/handoff/svg/page')
  const layout = new PageLayout(doc, 'stage', views[0]!.id, width, paragraphs)
  const url = `data:image/svg+xml,${encodeURIComponent(pageSvg(doc, layout, new Map(), width * 0.56))}`
  cache.set(key, url)
  return url
}

export function Thumbnail({
  item,
  views,
  tokens,
}: {
  item: ShelfItem
  views: View[]
  tokens: Record<string, unknown>
}) {
  const [url, setUrl] = useState<string>()
  // biome-ignore lint/correctness/useExhaustiveDependencies: fonts that arrive change the picture
  useEffect(() => {
    let isGone = false
    // The item is named beside its picture: without one it can be placed all the same.
    draw(item, views, tokens).then(
      (drawn) => isGone || setUrl(drawn),
      () => {},
    )
    return () => {
      isGone = true
    }
  }, [item, views, tokens, library.version])
  return <img src={url} alt="" draggable={false} className="h-21 w-37.5 bg-base-200 object-contain" />
}
