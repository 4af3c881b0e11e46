/** Everything that floats, as one part of the app: fetched behind the first sight of a screen. */
export { ChoiceList } from './choice-list'
export { DialogPanel } from './dialog-panel'
export { PopoverPanel } from './popover-panel'
export { Tips } from './tips'
