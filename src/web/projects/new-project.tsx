/** A new project: its name, and what it begins with. */
import { useMutation } from '@tanstack/react-query'
import { useState } from 'react'
import { useNavigate } from 'react-router'
import { api } from '../api'
import { Dialog } from '../parts/dialog'

/** As the core has them; what they are made of is fetched when one is chosen. */
const BEGINNINGS = [
  { id: 'empty', name: 'An empty page', words: 'nothing on it yet' },
  { id: 'front', name: 'A front page', words: 'header, hero, three cards, a quote, footer' },
  { id: 'bands', name: 'Header and footer', words: 'the page’s ends; what is between them is yours' },
] as const

/** @returns the new project's id */
async function make(name: string, begin: string): Promise<string> {
  if (begin === 'empty') return (await api.create(name)).id
  const [{ projectFrom, STARTING_POINTS }, { nanoid }] = await Promise.all([
    import('../../core/shelf/starting-points'),
    import('nanoid'),
  ])
  const point = STARTING_POINTS.find(({ id }) => id === begin)
  if (!point) throw new Error(`there is no beginning ${begin}`)
  return (await api.openFile(JSON.stringify(projectFrom(point, name, () => nanoid(10))))).id
}

export function NewProject({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate()
  const [name, setName] = useState('')
  const [begin, setBegin] = useState<string>('empty')
  const create = useMutation({
    mutationFn: () => make(name.trim(), begin),
    onSuccess: (id) => navigate(`/projects/${id}`),
  })
  return (
    <Dialog title="New project" onClose={onClose} width={440}>
      <form
        onSubmit={(event) => {
          event.preventDefault()
          if (name.trim()) create.mutate()
        }}
      >
        <label className="grid gap-1">
          <span className="font-semibold">Name</span>
          <input
            autoFocus
            className="text-field"
            maxLength={200}
            value={name}
            onChange={(event) => setName(event.target.value)}
          />
        </label>
        <fieldset className="mt-4 grid gap-1.5">
          <legend className="mb-1.5 font-semibold">Begins with</legend>
          {BEGINNINGS.map((each) => (
            <label
              key={each.id}
              className={`flex cursor-pointer items-baseline gap-2.5 rounded-box border px-2.5 py-1.5 ${begin === each.id ? 'border-primary' : 'border-base-300'}`}
            >
              <input
                type="radio"
                name="begin"
                className="radio radio-xs radio-primary translate-y-0.75"
                checked={begin === each.id}
                onChange={() => setBegin(each.id)}
              />
              <span>
                <b className="font-semibold">{each.name}</b>{' '}
                <span className="text-small soft">{each.words}</span>
              </span>
            </label>
          ))}
        </fieldset>
        <p className="mt-2 text-small soft">At Desktop 1440 and Mobile 390. Both can be changed.</p>
        {create.isError && (
          <p role="alert" className="mt-2 text-error">
            It could not be made: {create.error.message}.
          </p>
        )}
        <div className="mt-4 flex justify-end gap-2">
          <button type="button" className="line-button" onClick={onClose}>
            Cancel
          </button>
          <button type="submit" className="main-button" disabled={!name.trim() || create.isPending}>
            Make it
          </button>
        </div>
      </form>
    </Dialog>
  )
}
