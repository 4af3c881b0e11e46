/** One list of every command, found by typing. */
import { Command as Cmdk } from 'cmdk'
import { SHELF } from '../../core/shelf/items'
import { useEditor } from '../editor/use-editor'
import { Dialog } from '../parts/dialog'
import { placeItem } from '../shelf/place-item'
import { COMMANDS, showKeys } from './commands'
import { keysFor } from './shortcuts'

const ROW =
  'flex items-center justify-between rounded-field px-2 py-1.5 data-[selected=true]:bg-secondary data-[selected=true]:text-secondary-content'
const HEADING =
  '[&_[cmdk-group-heading]]:px-2 [&_[cmdk-group-heading]]:pt-2 [&_[cmdk-group-heading]]:pb-1 [&_[cmdk-group-heading]]:text-small [&_[cmdk-group-heading]]:font-bold'

export function Palette() {
  const editor = useEditor()
  const close = () => editor.set({ dialog: undefined })
  const groups = ['Block', 'Arrange', 'Page', 'Board', 'Project'] as const
  return (
    <Dialog title="All commands" onClose={close} width={480}>
      <Cmdk label="Commands" loop>
        <Cmdk.Input autoFocus placeholder="What do you want to do?" className="text-field mb-2 w-full" />
        {/* Beside the list: what is in it can be chosen. */}
        <Cmdk.Empty role="status" className="px-2 py-3 soft">
          No command is called that.
        </Cmdk.Empty>
        <Cmdk.List className="max-h-85 overflow-y-auto">
          {groups.map((group) => (
            <Cmdk.Group key={group} heading={group} className={HEADING}>
              {COMMANDS.filter(
                (command) =>
                  command.group === group &&
                  command.id !== 'palette' &&
                  !command.isHeld &&
                  (!command.when || command.when(editor)),
              ).map((command) => (
                <Cmdk.Item
                  key={command.id}
                  value={command.name}
                  keywords={command.words?.split(' ')}
                  className={ROW}
                  onSelect={() => {
                    close()
                    command.run(editor)
                  }}
                >
                  {command.name}
                  {keysFor(command) && (
                    <kbd className="[font-family:inherit] text-small soft">{showKeys(keysFor(command)!)}</kbd>
                  )}
                </Cmdk.Item>
              ))}
            </Cmdk.Group>
          ))}
          <Cmdk.Group heading="Place" className={HEADING}>
            {SHELF.map((item) => (
              <Cmdk.Item
                key={item.id}
                value={`Place ${item.name} ${item.words}`}
                className={ROW}
                onSelect={() => {
                  close()
                  placeItem(editor, item)
                }}
              >
                {item.name} <span className="text-small soft">{item.category}</span>
              </Cmdk.Item>
            ))}
          </Cmdk.Group>
          <Cmdk.Group heading="Pages" className={HEADING}>
            {editor.doc.pagesInOrder().map((page) => (
              <Cmdk.Item
                key={page.id}
                value={`Open page ${page.name}`}
                className={ROW}
                onSelect={() => {
                  close()
                  editor.openPage(page.id)
                }}
              >
                {page.name} <span className="text-small soft">{page.path}</span>
              </Cmdk.Item>
            ))}
          </Cmdk.Group>
        </Cmdk.List>
      </Cmdk>
    </Dialog>
  )
}
