/** A list of choices at a chip: opens on what is chosen, goes by arrows, Home, End and what is typed; a long one is filtered. */
import { Combobox } from '@base-ui/react/combobox'
import { Select } from '@base-ui/react/select'
import type { KeyboardEvent } from 'react'
import { type ChoiceProps, FLOATS, type Option } from '../floating-props'

/** More than this is searched rather than read. */
const LONG = 10

type Props<T> = ChoiceProps<T> & {
  /** Of the chip, for who does not see it. */
  name: string
  current: string
  /** Its chip was pressed before it was there. */
  atOnce: boolean
}

const ITEM =
  'flex w-full cursor-default items-baseline justify-between gap-3 rounded-field px-2 py-1 text-left outline-none data-highlighted:bg-base-200 data-selected:font-bold data-selected:text-primary'
const PANEL =
  'floating max-h-[min(70vh,var(--available-height))] max-w-(--available-width) overflow-auto p-1.5 outline-none'

export function ChoiceList<T>(props: Props<T>) {
  return props.options.length > LONG ? <LongChoice {...props} /> : <ShortChoice {...props} />
}

/** A letter at the closed chip is the command's, as everywhere else; it would choose what begins with it, unseen. */
const letCommands = (event: ChipKey) => {
  if (event.key.length === 1 && event.key !== ' ') event.preventBaseUIHandler()
}
type ChipKey = KeyboardEvent<HTMLElement> & { preventBaseUIHandler: () => void }

/** The words of an option as one line, and what is beside them. */
function Said<T>({ option }: { option: Option<T> }) {
  return (
    <>
      {option.shown ?? <span>{option.label}</span>}
      {option.hint && <span className="text-small font-normal soft">{option.hint}</span>}
    </>
  )
}

function ShortChoice<T>(props: Props<T>) {
  const { label, options, value, onChoose, width = 220 } = props
  const at = options.findIndex((option) => option.value === value)
  return (
    <Select.Root
      modal={false}
      defaultOpen={props.atOnce}
      value={at < 0 ? null : at}
      onValueChange={(index) => index !== null && index !== at && onChoose(options[index]!.value)}
      items={options.map((option, i) => ({ value: i, label: option.label }))}
    >
      <Select.Trigger className={props.className} aria-label={props.name} onKeyDown={letCommands}>
        {props.shown ?? props.current}
      </Select.Trigger>
      <Select.Portal>
        <Select.Positioner {...FLOATS} alignItemWithTrigger={false}>
          <Select.Popup className={PANEL} style={{ width }}>
            <Select.List aria-label={label}>
              {options.map((option, i) => (
                <Select.Item key={option.label} value={i} className={ITEM} label={option.label}>
                  <Said option={option} />
                </Select.Item>
              ))}
            </Select.List>
          </Select.Popup>
        </Select.Positioner>
      </Select.Portal>
    </Select.Root>
  )
}

function LongChoice<T>(props: Props<T>) {
  const { label, options, value, onChoose, width = 220 } = props
  const chosen = options.find((option) => option.value === value)
  return (
    <Combobox.Root
      items={options}
      value={chosen ?? null}
      defaultOpen={props.atOnce}
      isItemEqualToValue={(a, b) => a.label === b.label}
      itemToStringLabel={(option) => option.label}
      onValueChange={(option) => option && option.value !== value && onChoose(option.value)}
      autoHighlight
    >
      <Combobox.Trigger className={props.className} aria-label={props.name} onKeyDown={letCommands}>
        {props.shown ?? props.current}
      </Combobox.Trigger>
      <Combobox.Portal>
        <Combobox.Positioner {...FLOATS}>
          <Combobox.Popup className={PANEL} style={{ width }} aria-label={label}>
            <Combobox.Input
              className="text-field mb-1.5 w-full"
              aria-label={`Find in ${label.toLowerCase()}`}
              placeholder={chosen?.label}
            />
            <Combobox.Empty>
              <p className="px-2 py-1 soft empty:hidden">Nothing here is called that.</p>
            </Combobox.Empty>
            <Combobox.List aria-label={label}>
              {(option: Option<T>) => (
                <Combobox.Item key={option.label} value={option} className={ITEM}>
                  <Said option={option} />
                </Combobox.Item>
              )}
            </Combobox.List>
          </Combobox.Popup>
        </Combobox.Positioner>
      </Combobox.Portal>
    </Combobox.Root>
  )
}
