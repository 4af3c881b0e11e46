import { numberOption, Refusal, readArgs } from '../refusal'
import { FEATURES, type Feature } from './documents'
import { DEFAULT_WIDTHS, runConformance } from './run'

export async function conformance(args: string[]): Promise<number> {
  const { values } = readArgs(args, {
    documents: { type: 'string' },
    seed: { type: 'string' },
    widths: { type: 'string' },
    only: { type: 'string' },
    explain: { type: 'boolean' },
  })
  const widths = values.widths
    ?.split(',')
    .map((each) => numberOption('widths', each, { min: 200, max: 4000, integer: true })!)
  const only = values.only?.split(',').map((each) => {
    if (!FEATURES.includes(each as Feature))
      throw new Refusal(`--only ${each}: the features are ${FEATURES.join(', ')}`)
    return each as Feature
  })
  const ok = await runConformance(
    {
      documents: numberOption('documents', values.documents, { min: 1, max: 100_000, integer: true }) ?? 200,
      seed: numberOption('seed', values.seed, { integer: true }) ?? 1,
      widths: widths ?? DEFAULT_WIDTHS,
      only,
      explain: values.explain,
    },
    (line) => console.log(line),
  )
  console.log(
    ok
      ? 'the bar is met'
      : 'below the bar: every box without text; with text 99.9 % of boxes and of paragraphs',
  )
  return ok ? 0 : 1
}
