/** The menu of what is selected: what lies under the pointer, and what can be done with what is selected. */
import { Menu } from '@base-ui/react/menu'
import { useMemo } from 'react'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import type { Command } from '../palette/command'
import { COMMANDS, showKeys } from '../palette/commands'
import { keysFor } from '../palette/shortcuts'
import { ROOM } from '../parts/floating-props'

const OFFERED = [
  'edit-text',
  'wrap-row',
  'wrap-column',
  'unwrap',
  'turn',
  'mirror',
  'settle',
  'repeat',
  'swap',
  'copy',
  'cut',
  'paste',
  'duplicate',
  'copy-look',
  'put-look',
  'select-same',
  'stack-front',
  'stack-back',
  'hide',
  'lock',
  'delete',
]

const ITEM =
  'flex w-full cursor-default items-center justify-between gap-6 rounded-field px-2 py-1 text-left outline-none data-highlighted:bg-secondary'

export function ContextMenu({ place, onClose }: { place: NonNullable<Editor['menu']>; onClose: () => void }) {
  const editor = useEditor()
  const offered = OFFERED.flatMap((id) => COMMANDS.find((command) => command.id === id) ?? []).filter(
    (command: Command) => !command.when || command.when(editor),
  )
  const nodeOf = (id: string) => editor.layoutOf(place.view)?.instances.find(id)
  const nameOf = (id: string) => {
    const node = nodeOf(id)
    return node && editor.called(node)
  }
  const anchor = useMemo(
    () => ({ getBoundingClientRect: () => new DOMRect(place.x, place.y, 0, 0) }),
    [place.x, place.y],
  )
  return (
    <Menu.Root open modal={false} onOpenChange={(open) => !open && onClose()}>
      <Menu.Portal>
        <Menu.Positioner
          className="z-50"
          anchor={anchor}
          align="start"
          side="bottom"
          sideOffset={0}
          collisionPadding={ROOM}
        >
          <Menu.Popup
            aria-label="Block"
            className="floating max-h-[min(80vh,var(--available-height))] w-75 overflow-y-auto p-1.5 outline-none"
            onKeyDown={(event) => event.key !== 'Escape' && event.stopPropagation()}
          >
            {place.under.length > 0 && (
              <Menu.Group>
                <Menu.GroupLabel className="px-2 pt-1 text-small font-bold">
                  Under the pointer
                </Menu.GroupLabel>
                {place.under.map((id, i) => (
                  <Menu.Item
                    key={id}
                    className={ITEM}
                    style={{ paddingLeft: 8 + (place.under.length - 1 - i) * 8 }}
                    onClick={() => editor.select(id, place.view)}
                  >
                    <span className={editor.selection.includes(id) ? 'font-bold text-primary' : ''}>
                      {nameOf(id)}
                    </span>
                    <span className="text-small soft">
                      {nodeOf(id)?.source ? 'from the template' : nodeOf(id)?.kind}
                    </span>
                  </Menu.Item>
                ))}
              </Menu.Group>
            )}
            {place.under.length > 0 && offered.length > 0 && <Menu.Separator className="rule-t my-1" />}
            {offered.map((command) => (
              <Menu.Item key={command.id} className={ITEM} onClick={() => command.run(editor)}>
                {command.name}
                {(keysFor(command) ?? command.shows) && (
                  <kbd className="[font-family:inherit] text-small soft">
                    {showKeys((keysFor(command) ?? command.shows)!)}
                  </kbd>
                )}
              </Menu.Item>
            ))}
          </Menu.Popup>
        </Menu.Positioner>
      </Menu.Portal>
    </Menu.Root>
  )
}
