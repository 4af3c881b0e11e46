/** Look, type and picture: the spec's statements about how a block appears. */

import { fillEdits } from '../../core/arrange/pictures'
import { isPhotograph } from '../../core/blobs/picture-type'
import type { Node } from '../../core/document/document'
import { cascaded } from '../../core/document/resolve'
import { shortName } from '../../core/document/tokens'
import { formatPx } from '../../core/lattice/solve'
import type { Kind } from '../../core/properties/kinds'
import { hasProperty, type PropKey, type Props, type Resolved } from '../../core/properties/table'
import { usedLineHeight } from '../../core/text/line-box'
import { characterName, missingCharacters } from '../../core/text/missing'
import { isOneParagraph, mostLines } from '../../core/words/parts'
import { makeId } from '../editor/editor-state'
import { useEditor } from '../editor/use-editor'
import { Choice } from '../parts/choice'
import { NumberChip } from '../parts/number-chip'
import { Popover } from '../parts/popover'
import { BorderLines, CornerLines, OutlineLine } from './borders'
import { ColorChip } from './color-chip'
import { EffectLines } from './effects'
import { FillLines } from './fills'
import { FontAxes } from './font-axes'
import { FontChoice, weightsOf } from './font-choice'
import { LetterForms } from './letter-forms'
import { Line } from './line'
import { LoneWord } from './lone-word'
import { PictureList } from './picture-list'
import { ShadowLines } from './shadows'
import { WordsLine } from './words'

function useSet(node: Node) {
  const editor = useEditor()
  return (props: Partial<Record<PropKey, unknown>>, label: string, gesture?: string) =>
    editor.setProps(props, `${label} of ${node.name}`, gesture && `${label}-${gesture}`)
}

export function Look({ node }: { node: Node }) {
  const editor = useEditor()
  const set = useSet(node)
  const resolved = editor.resolved(node)
  return (
    <>
      {hasProperty(node.kind, 'fills') && (
        <>
          <FillLines node={node} />
          <BorderLines node={node} />
          <CornerLines node={node} />
          <OutlineLine node={node} />
          <ShadowLines node={node} />
        </>
      )}
      <Line node={node} keys={hasProperty(node.kind, 'clip') ? ['opacity', 'clip'] : ['opacity']}>
        <span>Opacity</span>
        <NumberChip
          label="Opacity"
          value={Math.round((resolved.opacity ?? 1) * 100)}
          unit=" %"
          context={{ min: 0, max: 100 }}
          onChange={(value) => set({ opacity: value / 100 }, 'Opacity')}
        />
        {hasProperty(node.kind, 'clip') && (
          <Choice
            label="Overflow"
            options={[
              { value: false, label: 'shows overflow' },
              { value: true, label: 'clipped' },
            ]}
            value={resolved.clip === true}
            onChoose={(clip) => set({ clip }, 'Overflow')}
          />
        )}
      </Line>
      <EffectLines node={node} />
    </>
  )
}

export function TypeLines({ node }: { node: Node }) {
  const editor = useEditor()
  const set = useSet(node)
  const resolved = editor.resolved(node)
  const raw = cascaded(editor.doc, node, editor.view.id)
  const height = resolved.lineHeight!
  const missing = missingCharacters(resolved)
  const styles = editor.tokens.names('typography')
  const line = usedLineHeight(height, resolved.fontSize)
  const isLeftward = editor.layout?.boxes.get(node.id)?.typeset?.direction === 'rtl'
  return (
    <>
      <Line node={node} keys={['type', 'fontFamily']}>
        <span>Style</span>
        <Choice
          label="Type style"
          options={[
            ...styles.map((name) => {
              const token = editor.tokens.lookup(name)
              return {
                value: `{${name}}` as string | undefined,
                label: shortName(name),
                hint:
                  token?.type === 'typography'
                    ? `${token.value.fontSize} / ${formatPx(token.value.fontSize * token.value.lineHeight)}`
                    : '',
              }
            }),
            { value: undefined, label: 'no style' },
          ]}
          value={raw.type}
          onChoose={(type) => set({ type: type ?? null }, 'Type style')}
        />
        <FontChoice
          label="Font family"
          value={resolved.fontFamily}
          onChoose={(fontFamily) => set({ fontFamily }, 'Font family')}
        />
      </Line>
      <Line node={node} keys={['fontSize', 'lineHeight', 'fontWeight']}>
        <span>Size</span>
        <NumberChip
          label="Font size"
          value={resolved.fontSize}
          context={{ min: 1, max: 2000 }}
          onChange={(fontSize) => set({ fontSize }, 'Font size')}
        />
        <span>line</span>
        <NumberChip
          label="Line height in px"
          value={line}
          shown={line === undefined ? 'the font’s own' : undefined}
          onClear={() => set({ lineHeight: 'normal' }, 'Line height')}
          context={{ min: 0, max: 2000 }}
          onChange={(px) => set({ lineHeight: { px } }, 'Line height')}
        />
        {height !== 'normal' && line !== undefined && (
          <Choice
            label="Line height of other sizes"
            options={[
              { value: true, label: 'px', hint: 'stays whatever the size' },
              { value: false, label: `× ${formatPx(line / resolved.fontSize)}`, hint: 'grows with the size' },
            ]}
            value={'px' in height}
            onChoose={(fixed) =>
              set(
                {
                  lineHeight: fixed
                    ? { px: line }
                    : { ratio: Math.round((line / resolved.fontSize) * 10_000) / 10_000 },
                },
                'Line height',
              )
            }
          />
        )}
        <span>weight</span>
        <Choice
          label="Font weight"
          options={weightsOf(resolved.fontFamily, resolved.fontWeight)}
          value={resolved.fontWeight}
          shown={String(resolved.fontWeight)}
          onChoose={(fontWeight) => set({ fontWeight }, 'Font weight')}
        />
      </Line>
      {missing.length > 0 && (
        <p
          role="note"
          className="rounded-field bg-(--gold-wash) px-2 py-1 text-small leading-4 text-(--gold-text)"
        >
          No font here has {missing.map(characterName).join(', ')}: visitors see what their own system has.
        </p>
      )}
      <LoneWord node={node} resolved={resolved} onWrap={(textWrap, words) => set({ textWrap }, words)} />
      {!isOneParagraph(resolved.words ?? []) && (
        <Line node={node} keys={['paragraphGap']}>
          <span>Between paragraphs</span>
          <NumberChip
            label="Gap between paragraphs"
            value={resolved.paragraphGap! * resolved.fontSize}
            unit=" px"
            context={{ min: 0, max: resolved.fontSize * 20 }}
            onChange={(px) => set({ paragraphGap: px / resolved.fontSize }, 'Gap between paragraphs')}
          />
        </Line>
      )}
      <Line
        node={node}
        keys={[
          'color',
          'textAlign',
          'textCase',
          'letterSpacing',
          'wordSpacing',
          'overflowWrap',
          'textWrap',
          'maxLines',
          'figures',
          'features',
          'axes',
        ]}
      >
        <span>Ink</span>
        <ColorChip
          label="Ink"
          isInk
          value={raw.color}
          onChange={(color, gesture) => set({ color }, 'Ink', gesture)}
        />
        <Choice
          label="Text alignment"
          options={[
            { value: 'left', label: isLeftward ? 'set right' : 'set left' },
            { value: 'center', label: 'centred' },
            { value: 'right', label: isLeftward ? 'set left' : 'set right' },
            { value: 'justify', label: 'flush on both sides' },
          ]}
          value={resolved.textAlign as string}
          onChoose={(textAlign) => set({ textAlign: textAlign as Props['textAlign'] }, 'Text alignment')}
        />
        <span>spacing</span>
        <NumberChip
          label="Letter spacing"
          value={resolved.letterSpacing ?? 0}
          step={0.1}
          context={{ min: -100, max: 200 }}
          onChange={(letterSpacing) => set({ letterSpacing }, 'Letter spacing')}
        />
        <NumberChip
          label="Word spacing"
          value={resolved.wordSpacing ?? 0}
          shown={resolved.wordSpacing ? undefined : 'word gaps as drawn'}
          unit=" px between words"
          step={0.5}
          context={{ min: -100, max: 400 }}
          onChange={(wordSpacing) =>
            set({ wordSpacing: wordSpacing === 0 ? null : wordSpacing }, 'Word spacing')
          }
        />
        <Choice
          label="Case"
          options={[
            { value: 'none', label: 'as typed' },
            { value: 'uppercase', label: 'CAPITALS' },
            { value: 'lowercase', label: 'small letters' },
          ]}
          value={resolved.textCase as string}
          onChoose={(textCase) => set({ textCase: textCase as Props['textCase'] }, 'Case')}
        />
        <Choice
          label="Lines"
          options={[
            { value: 'wrap', label: 'lines filled' },
            { value: 'balance', label: 'lines balanced', hint: 'up to six' },
            { value: 'pretty', label: 'no short last word', hint: 'the last four lines' },
            { value: 'nowrap', label: 'one line' },
          ]}
          value={resolved.textWrap as string}
          onChoose={(textWrap) => set({ textWrap: textWrap as Props['textWrap'] }, 'Lines')}
        />
        {mayBeCut(node.kind, resolved) && (
          <NumberChip
            label="Most lines"
            value={resolved.maxLines}
            shown={mostLinesWords(resolved.maxLines)}
            context={{ min: 1, max: 100, integer: true }}
            names={new Map([['all', () => set({ maxLines: null }, 'Most lines')]])}
            onClear={() => set({ maxLines: null }, 'Most lines')}
            onChange={(maxLines) => set({ maxLines }, 'Most lines')}
          />
        )}
        <Choice
          label="Figures"
          options={[
            { value: 'normal', label: 'figures as drawn' },
            { value: 'tabular', label: 'figures of one width', hint: 'for tables' },
            { value: 'oldstyle', label: 'old-style figures' },
            { value: 'tabular-oldstyle', label: 'old-style, one width' },
          ]}
          value={resolved.figures as string}
          onChoose={(figures) => set({ figures: figures as Props['figures'] }, 'Figures')}
        />
        <LetterForms resolved={resolved} onChange={(features) => set({ features }, 'Letter forms')} />
        <FontAxes resolved={resolved} onChange={(axes, words) => set({ axes }, words)} />
        <Choice
          label="Long words"
          options={[
            { value: 'normal', label: 'words kept whole' },
            {
              value: 'anywhere',
              label: 'long words broken',
              hint: 'only where one is too long for its line',
            },
          ]}
          value={resolved.overflowWrap as string}
          onChoose={(overflowWrap) =>
            set({ overflowWrap: overflowWrap as Props['overflowWrap'] }, 'Long words')
          }
        />
      </Line>
    </>
  )
}

export function PictureLines({ node }: { node: Node }) {
  const editor = useEditor()
  const set = useSet(node)
  const resolved = editor.resolved(node)
  const asset = resolved.asset ? editor.doc.assets.get(resolved.asset) : undefined
  return (
    <>
      <Line node={node} keys={['asset', 'fit']}>
        <Popover
          label={`Picture: ${asset?.name ?? 'none yet'}`}
          button={<span className="max-w-37.5 truncate">{asset?.name ?? 'none yet'}</span>}
          width={250}
        >
          {(close) => (
            <PictureList
              chosen={resolved.asset}
              onChoose={(each) => {
                const { edits } = fillEdits(editor.doc, [node], [each], editor.setEdit, makeId)
                editor.commit(edits, `Picture of ${node.name}`)
                close()
              }}
            />
          )}
        </Popover>
        <Choice
          label="Fit"
          options={[
            { value: 'cover', label: 'fills its box', hint: 'cropped' },
            { value: 'contain', label: 'whole', hint: 'room left' },
            { value: 'fill', label: 'stretched' },
          ]}
          value={resolved.fit as string}
          onChoose={(fit) => set({ fit: fit as Props['fit'] }, 'Fit')}
        />
      </Line>
      {asset && (
        <div className="flex gap-2 pb-1.5">
          <button type="button" className="chip" onClick={() => editor.set({ dialog: 'cut' })}>
            {asset.from ? 'Cut otherwise …' : 'Cut or turn …'}
          </button>
          {isPhotograph(asset) && (
            <button type="button" className="chip" onClick={() => editor.set({ dialog: 'backdrop' })}>
              No backdrop …
            </button>
          )}
        </div>
      )}
      <Line node={node} keys={['ratio', 'focusX', 'focusY']}>
        <span>Shape</span>
        <NumberChip
          label="Width divided by height"
          value={resolved.ratio}
          shown={resolved.ratio === undefined ? 'its own' : formatPx(resolved.ratio)}
          context={{ min: 0.001, max: 1000 }}
          onChange={(ratio) => set({ ratio }, 'Shape')}
          onClear={() => set({ ratio: null }, 'Shape')}
        />
        <span>centred at</span>
        <NumberChip
          label="Focus across"
          value={resolved.focusX}
          unit=" %"
          context={{ min: 0, max: 100 }}
          onChange={(focusX) => set({ focusX }, 'Focus')}
        />
        <NumberChip
          label="Focus down"
          value={resolved.focusY}
          unit=" %"
          context={{ min: 0, max: 100 }}
          onChange={(focusY) => set({ focusY }, 'Focus')}
        />
      </Line>
      <WordsLine node={node} prop="alt" label="Said as" placeholder="for who cannot see it" />
    </>
  )
}

/** Browsers cut off lines of one paragraph; what is set already can be put back. */
const mayBeCut = (kind: Kind, resolved: Resolved) =>
  hasProperty(kind, 'maxLines') &&
  (resolved.maxLines !== undefined ||
    mostLines({ maxLines: 1, words: resolved.words, tag: resolved.tag }) !== undefined)

const mostLinesWords = (most: number | undefined) =>
  most === undefined ? 'all lines' : most === 1 ? 'one line, then …' : `${most} lines, then …`
