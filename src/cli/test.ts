/** `lattice test` and `lattice check`: everything, one after the other; the last line counts. */
import { spawn } from 'node:child_process'
import { mkdtemp, readFile, rm } from 'node:fs/promises'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { fileURLToPath } from 'node:url'
import { memoryFolder } from './browser'
import { Refusal, readArgs } from './refusal'
import { buildWeb } from './serve'

const ROOT = fileURLToPath(new URL('../../', import.meta.url))
type Count = { passed: number; failed: number }

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
  const count = { passed: 0, failed: 0 }
  for (const [name, script, args] of CHECKS) {
    const ok = (await run(script, args)) === 0
    console.log(`${ok ? 'ok  ' : 'FAIL'} ${name}`)
    count[ok ? 'passed' : 'failed']++
  }
  return count
}

/** A reporter's JSON file, or a count of one failure when the runner did not get that far. */
async function counted(
  file: string,
  status: number,
  read: (report: Record<string, never>) => Count,
): Promise<Count> {
  const report = await readFile(file, 'utf8')
    .then(JSON.parse)
    .catch(() => undefined)
  const count = report ? read(report) : { passed: 0, failed: 1 }
  // A runner that fails without a failed test (a file that does not load) still counts as a failure.
  return status !== 0 && count.failed === 0 ? { ...count, failed: 1 } : count
}

async function unit(folder: string): Promise<Count> {
  const file = join(folder, 'vitest.json')
  const status = await run('vitest/vitest.mjs', [
    'run',
    '--reporter=default',
    '--reporter=json',
    `--outputFile.json=${file}`,
  ])
  return counted(file, status, (report: Record<string, number>) => ({
    passed: report.numPassedTests!,
    failed: report.numFailedTests!,
  }))
}

async function browser(folder: string): Promise<Count> {
  await buildWeb()
  const file = join(folder, 'playwright.json')
  const status = await run('@playwright/test/cli.js', ['test', '--reporter=list,json'], {
    PLAYWRIGHT_JSON_OUTPUT_NAME: file,
  })
  return counted(
    file,
    status,
    (report: Record<string, { expected: number; unexpected: number; flaky: number }>) => ({
      passed: report.stats!.expected,
      failed: report.stats!.unexpected + report.stats!.flaky,
    }),
  )
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
  const total = { passed: 0, failed: 0 }
  for (const part of parts) {
    const count = await PARTS[part]!(folder)
    total.passed += count.passed
    total.failed += count.failed
  }
  await rm(folder, { recursive: true, force: true })
  console.log(`${total.passed} passed, ${total.failed} failed`)
  return total.failed === 0 && total.passed > 0 ? 0 : 1
}

export async function check(args: string[]): Promise<number> {
  readArgs(args, {})
  return (await checks()).failed === 0 ? 0 : 1
}
