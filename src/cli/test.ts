/** `lattice test` and `lattice check`: everything, one after the other; the last line counts. */
import { spawn } from 'node:child_process'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join, relative } from 'node:path'
import { fileURLToPath } from 'node:url'
import { memoryFolder } from './browser'
import { Refusal, readArgs } from './refusal'
import { buildWeb } from './serve'

const ROOT = fileURLToPath(new URL('../../', import.meta.url))
/** @property names of what failed, said once more at the end, where whoever reads a long log looks first */
type Count = { passed: number; failed: number; names: string[] }

function run(script: string, args: string[], env: Record<string, string> = {}): Promise<number> {
  return new Promise((resolve) => {
    const child = spawn(process.execPath, [join(ROOT, 'node_modules', script), ...args], {
      cwd: ROOT,
      stdio: 'inherit',
      env: { ...process.env, TMPDIR: memoryFolder() ?? tmpdir(), ...env },
    })
    child.on('exit', (code) => resolve(code ?? 1))
  })
}

const CHECKS: [name: string, script: string, args: string[]][] = [
  ['types', 'typescript/bin/tsc', ['-p', '.']],
  ['core without a platform', 'typescript/bin/tsc', ['-p', 'tsconfig.core.json']],
  ['lint and format', '@biomejs/biome/bin/biome', ['check', '--error-on-warnings', '.']],
  [
    'architecture',
    'dependency-cruiser/bin/dependency-cruise.mjs',
    ['--config', '.dependency-cruiser.json', 'src'],
  ],
  ['nothing unused', 'knip/bin/knip.js', ['--no-progress']],
]

async function checks(): Promise<Count> {
  const names: string[] = []
  for (const [name, script, args] of CHECKS) {
    const ok = (await run(script, args)) === 0
    console.log(`${ok ? 'ok  ' : 'FAIL'} ${name}`)
    if (!ok) names.push(name)
  }
  return { passed: CHECKS.length - names.length, failed: names.length, names }
}

/** A reporter's JSON file, or one failure when the runner did not get that far. */
async function counted<Report>(
  part: string,
  file: string,
  status: number,
  read: (report: Report) => Count,
): Promise<Count> {
  const report = await readFile(file, 'utf8')
    .then((text) => JSON.parse(text) as Report)
    .catch(() => undefined)
  const count = report ? read(report) : { passed: 0, failed: 0, names: [] }
  if (status === 0 || count.failed > 0) return count
  // A runner that fails without a failed test (a file that does not load) still counts as a failure.
  return { ...count, failed: 1, names: [`${part}: ended with ${status}, no test by itself failed`] }
}

type UnitReport = {
  numPassedTests: number
  numFailedTests: number
  testResults: { name: string; assertionResults: { status: string; fullName: string }[] }[]
}

async function unit(folder: string): Promise<Count> {
  const file = join(folder, 'vitest.json')
  const status = await run('vitest/vitest.mjs', [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ])
  return counted<UnitReport>('unit', file, status, (report) => ({
    passed: report.numPassedTests,
    failed: report.numFailedTests,
    names: report.testResults.flatMap(({ name, assertionResults }) =>
      assertionResults
        .filter((each) => each.status === 'failed')
        .map((each) => `${relative(ROOT, name)}: ${each.fullName}`),
    ),
  }))
}

type Suite = { suites?: Suite[]; specs: { ok: boolean; title: string; file: string }[] }
type BrowserReport = {
  suites: Suite[]
  stats: { expected: number; unexpected: number; flaky: number }
}
const specsOf = (suite: Suite): Suite['specs'] => [...suite.specs, ...(suite.suites ?? []).flatMap(specsOf)]

async function browser(folder: string): Promise<Count> {
  await buildWeb()
  const file = join(folder, 'playwright.json')
  const status = await run('@playwright/test/cli.js', ['test', '--reporter=list,json'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
  })
  return counted<BrowserReport>('browser', file, status, ({ stats, suites }) => ({
    passed: stats.expected,
    failed: stats.unexpected + stats.flaky,
    names: suites
      .flatMap(specsOf)
      .filter(({ ok }) => !ok)
      .map(({ file: spec, title }) => `e2e/${spec}: ${title}`),
  }))
}

const PARTS: Record<string, (folder: string) => Promise<Count>> = { check: checks, unit, browser }

export async function test(args: string[]): Promise<number> {
  const { values } = readArgs(args, { only: { type: 'string' }, seed: { type: 'string' } })
  const parts = values.only?.split(',') ?? Object.keys(PARTS)
  const unknown = parts.find((part) => !Object.hasOwn(PARTS, part))
  if (unknown) throw new Refusal(`--only ${unknown}: the parts are ${Object.keys(PARTS).join(', ')}`)
  if (values.seed !== undefined) {
    if (!/^\d+$/.test(values.seed)) throw new Refusal(`--seed ${values.seed}: a whole number is needed`)
    process.env.LATTICE_SEED = values.seed
  }
  const folder = await mkdtemp(join(tmpdir(), 'just-lattice-test-'))
  const total: Count = { passed: 0, failed: 0, names: [] }
  for (const part of parts) {
    const count = await PARTS[part]!(folder)
    total.passed += count.passed
    total.failed += count.failed
    total.names.push(...count.names)
  }
  await rm(folder, { recursive: true, force: true })
  for (const name of total.names) console.log(`failed: ${name}`)
  console.log(`${total.passed} passed, ${total.failed} failed`)
  return total.failed === 0 && total.passed > 0 ? 0 : 1
}

export async function check(args: string[]): Promise<number> {
  readArgs(args, {})
  return (await checks()).failed === 0 ? 0 : 1
}
