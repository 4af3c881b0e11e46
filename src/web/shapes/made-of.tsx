/** What a shape was put together from: put together otherwise, taken apart again, or left as one. */
import type { Node } from '../../core/document/document'
import { COMBINATIONS, type Combination, madeOf } from '../../core/forms/form'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { combining } from './fetch-points'
import { takeApart } from './point-work'

const WORDS: Record<Combination, string> = {
  unite: 'united',
  subtract: 'cut out of the lowest',
  intersect: 'where they overlap',
  exclude: 'where they do not overlap',
}
const OPTIONS = COMBINATIONS.map((value) => ({ value, label: WORDS[value] }))

export function MadeOf({ node }: { node: Node }) {
  const editor = useEditor()
  const form = editor.resolved(node).form
  const of = madeOf(form)
  if (!of || form?.form !== 'path') return null
  const otherwise = (how: Combination) =>
    void combining().then(
      ({ recombined }) => {
        const { layout } = editor
        const props = layout && recombined(layout, node.id, how)
        if (props === undefined) return
        if (typeof props === 'string') return editor.session.showNotice(props)
        editor.setProps(props, `How ${node.name} is put together`, undefined, [node])
      },
      () => editor.session.showNotice('what puts shapes together cannot be fetched; try again'),
    )
  return (
    <div className="flex flex-wrap items-center gap-1.5">
      <span>Made of {of.parts.length},</span>
      <Choice label="Put together" options={[...OPTIONS]} value={of.how} onChoose={otherwise} />
      <button type="button" className="chip" onClick={() => takeApart(editor, node)}>
        take apart
      </button>
      <button
        type="button"
        className="chip"
        title="Its shapes are no longer kept"
        onClick={() =>
          editor.setProps(
            { form: { form: 'path', data: form.data } },
            `Leave ${node.name} as one`,
            undefined,
            [node],
          )
        }
      >
        leave as one
      </button>
    </div>
  )
}
