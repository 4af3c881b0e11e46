/** The project's tokens: its colours, type styles, spaces and looks, where each is used, how colours read, and values that are nearly one. */
import { Tabs } from '@base-ui/react/tabs'
import { type ReactNode, useMemo, useState } from 'react'
import type { ResolvedToken } from '../../core/document/tokens'
import { nearTokens } from '../../core/tokens/near'
import { tokenUses } from '../../core/tokens/uses'
import { useEditor } from '../editor/use-editor'
import { Dialog } from '../parts/dialog'
import { useRested } from '../parts/use-rested'
import { Colors } from './colors'
import { InUseChart } from './in-use'
import { Looks } from './looks'
import { NearValues } from './near-values'
import { Overview } from './overview'
import { Spaces } from './spaces'
import { TokensFile } from './tokens-file'
import { TypeStyles } from './type-styles'

const TAB = 'plain-button font-semibold data-active:bg-secondary data-active:text-secondary-content'

export function TokensDialog() {
  const editor = useEditor()
  const { doc } = editor
  // What changed is painted before it is counted.
  const documentVersion = useRested(editor.session.documentVersion)
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  const uses = useMemo(() => tokenUses(doc), [doc, documentVersion])
  // biome-ignore lint/correctness/useExhaustiveDependencies: the same
  const near = useMemo(() => nearTokens(doc), [doc, documentVersion])
  const [part, setPart] = useState('all')
  const count = (type: ResolvedToken['type']) => doc.tokenTable.names(type).length
  const parts: [string, string, number | undefined, ReactNode][] = [
    ['all', 'All', undefined, <Overview key="all" uses={uses} open={setPart} />],
    ['colors', 'Colours', count('color'), <Colors key="colors" uses={uses} />],
    ['type', 'Type', count('typography'), <TypeStyles key="type" uses={uses} />],
    ['spaces', 'Spaces', count('dimension'), <Spaces key="spaces" uses={uses} />],
    [
      'looks',
      'Looks',
      count('shadow') + count('gradient') + count('border'),
      <Looks key="looks" uses={uses} />,
    ],
    ['near', 'Nearly tokens', near.length, <NearValues key="near" near={near} />],
    ['use', 'In use', undefined, <InUseChart key="use" />],
  ]
  return (
    <Dialog title="Tokens of the project" onClose={() => editor.set({ dialog: undefined })} width={1080}>
      <Tabs.Root value={part} onValueChange={setPart}>
        <Tabs.List className="rule-b mb-3 flex gap-1 pb-2" aria-label="Kinds of tokens">
          {parts.map(([id, word, number]) => (
            <Tabs.Tab key={id} value={id} data-first={id === 'all' || undefined} className={TAB}>
              {word} <span className="font-normal soft tabular-nums">{number}</span>
            </Tabs.Tab>
          ))}
        </Tabs.List>
        {parts.map(([id, , , panel]) => (
          <Tabs.Panel
            key={id}
            value={id}
            className="h-[62vh] min-h-60 overflow-y-auto pr-1 pb-1 outline-offset-2"
          >
            {panel}
          </Tabs.Panel>
        ))}
      </Tabs.Root>
      <TokensFile />
    </Dialog>
  )
}
