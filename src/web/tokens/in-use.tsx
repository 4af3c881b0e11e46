/** What the project's blocks have, as bars: values that no token stands for catch the eye. Pressed, a bar selects its blocks. */
import { BarController, BarElement, CategoryScale, Chart, LinearScale } from 'chart.js'
import { useEffect, useMemo, useRef, useState } from 'react'
import { colorsInUse, type InUse, sizesInUse, spacesInUse } from '../../core/tokens/in-use'
import type { Editor } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Pick } from '../parts/pick'
import { useRested } from '../parts/use-rested'

Chart.register(BarController, BarElement, CategoryScale, LinearScale)
Chart.defaults.font.family = 'Hanken Grotesk'

const KINDS = {
  spaces: { word: 'Spaces', unit: ' px', of: spacesInUse },
  sizes: { word: 'Sizes of type', unit: ' px', of: sizesInUse },
  colors: { word: 'Colours', unit: '', of: colorsInUse },
} as const
type Kind = keyof typeof KINDS

/** Of the theme, as it is now. */
const themed = (name: string) => getComputedStyle(document.documentElement).getPropertyValue(name).trim()

export function InUseChart() {
  const editor = useEditor()
  const { doc } = editor
  const documentVersion = useRested(editor.session.documentVersion)
  const [kind, setKind] = useState<Kind>('spaces')
  const { unit, of } = KINDS[kind]
  // biome-ignore lint/correctness/useExhaustiveDependencies: the version says when the document changed
  const list = useMemo(() => of(doc), [doc, documentVersion, of])
  const strays = list.filter(({ count, bound }) => bound < count)
  return (
    <div className="grid gap-3">
      <fieldset className="flex gap-1">
        <legend className="sr-only">What is counted</legend>
        {(Object.keys(KINDS) as Kind[]).map((each) => (
          <Pick
            key={each}
            name="in-use"
            on={kind === each}
            onPick={() => setKind(each)}
            className={`py-1 ${kind === each ? 'bg-base-200 font-bold' : 'soft hover:bg-base-200'}`}
          >
            {KINDS[each].word}
          </Pick>
        ))}
      </fieldset>
      {list.length === 0 ? (
        <p className="soft">Nothing on the pages has any yet.</p>
      ) : (
        <>
          <Bars
            list={list}
            unit={unit}
            isColors={kind === 'colors'}
            onPress={(each) => choose(editor, each, unit)}
          />
          <p>
            {list.length} {list.length === 1 ? 'value' : 'different values'},{' '}
            {strays.length === 0 ? 'all of them tokens.' : `${strays.length} of them not always a token:`}
          </p>
          <ul className="flex flex-wrap gap-1.5">
            {strays.map((each) => (
              <li key={each.value}>
                <button
                  type="button"
                  className="chip"
                  aria-label={`Select what has ${each.value}${unit}, ${each.count - each.bound} times without a token`}
                  onClick={() => choose(editor, each, unit)}
                >
                  {each.value}
                  {unit} <span className="font-normal soft">{each.count - each.bound}</span>
                </button>
              </li>
            ))}
          </ul>
        </>
      )}
    </div>
  )
}

/** Selects the blocks of the open page that have a value. */
function choose(editor: Editor, { value, nodes }: InUse, unit: string) {
  const here = [...new Set(nodes)].filter((id) => editor.doc.pageOf(id) === editor.pageId)
  if (here.length === 0) return editor.session.showNotice(`${value}${unit} is on other pages only`)
  editor.set({ selection: here, dialog: undefined })
  editor.announce(`${here.length} ${here.length === 1 ? 'block' : 'blocks'} with ${value}${unit} selected`)
}

function Bars({
  list,
  unit,
  isColors,
  onPress,
}: {
  list: readonly InUse[]
  unit: string
  isColors: boolean
  onPress: (each: InUse) => void
}) {
  const canvas = useRef<HTMLCanvasElement>(null)
  const press = useRef(onPress)
  press.current = onPress
  useEffect(() => {
    if (!canvas.current) return
    const ink = themed('--color-base-content')
    const chart = new Chart(canvas.current, {
      type: 'bar',
      data: {
        labels: list.map(({ value }) => `${value}${unit}`),
        datasets: [
          {
            data: list.map(({ bound }) => bound),
            backgroundColor: isColors ? list.map(({ value }) => `${value}`) : themed('--color-primary'),
            borderColor: themed('--field'),
            // What is as pale as the ground is seen all the same.
            borderWidth: isColors ? 1 : 0,
            stack: 'all',
          },
          {
            data: list.map(({ count, bound }) => count - bound),
            backgroundColor: themed('--color-accent'),
            stack: 'all',
          },
        ],
      },
      options: {
        animation: false,
        maintainAspectRatio: false,
        onClick: (_, [hit]) => hit && press.current(list[hit.index]!),
        scales: {
          x: { stacked: true, grid: { display: false }, ticks: { color: ink, maxRotation: 60 } },
          y: {
            stacked: true,
            ticks: { color: ink, precision: 0 },
            grid: { color: themed('--color-base-300') },
          },
        },
      },
    })
    return () => chart.destroy()
  }, [list, unit, isColors])
  const said = list.map(({ value, count, bound }) => `${value}${unit}: ${count}, ${bound} of them a token`)
  return (
    <div className="h-56">
      <canvas ref={canvas} role="img" aria-label={`How often each is used. ${said.join('; ')}`} />
    </div>
  )
}
