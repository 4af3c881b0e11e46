import { describe, expect, test } from 'vitest'
import { checkProject } from '../document/check'
import { projectFrom, STARTING_POINTS } from './starting-points'

describe('starting points', () => {
  test.each(STARTING_POINTS.map((point) => [point.name, point] as const))('%s is a project', (_, point) => {
    let made = 0
    const file = projectFrom(point, 'New', () => `n${made++}`)
    checkProject(file)
    expect(file.name).toBe('New')
    expect(file.pages[0]!.sections).toHaveLength(point.sections.length)
  })
})
