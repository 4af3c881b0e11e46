/** All projects: open, make, open a file, rename, duplicate, delete with a way back. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { FilePlus2, FolderOpen, Search } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { useNavigate } from 'react-router'
import { api, type ListedProject } from '../api'
import { FindField } from '../parts/find-field'
import { fetchPanels } from '../parts/floating'
import { Mark } from '../parts/mark'
import { Pick } from '../parts/pick'
import { ThemeButton } from '../parts/theme-button'
import { whenIdle } from '../parts/when-idle'
import { NewProject } from './new-project'
import { ProjectCard } from './project-card'
import { Trash } from './trash'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

type Opening = { name: string; words: string; share?: number; cancel: AbortController }

/** A file that is being opened: how far, and a way to leave it. */
function OpeningFile({ name, words, share, cancel }: Opening) {
  return (
    <div role="status" className="floating mx-auto mb-6 flex max-w-215 items-center gap-3 px-4 py-2.5">
      <span className="min-w-0 flex-1 truncate">
        Opening “{name}”. <span className="soft">{words}</span>
      </span>
      {share !== undefined && (
        <progress className="progress progress-primary w-40" value={share} max={1} aria-label="Sent" />
      )}
      <button type="button" className="line-button" onClick={() => cancel.abort()}>
        Cancel
      </button>
    </div>
  )
}

export function ProjectsScreen() {
  useEffect(() => whenIdle(() => void fetchPanels().catch(() => undefined)), [])
  const client = useQueryClient()
  const navigate = useNavigate()
  const file = useRef<HTMLInputElement>(null)
  const [naming, setNaming] = useState(false)
  const [problem, setProblem] = useState<string>()
  const [deleted, setDeleted] = useState<ListedProject>()
  const [sought, setSought] = useState('')
  const [byName, setByName] = useState(false)
  const list = useQuery({ queryKey: ['projects'], queryFn: api.list, refetchOnMount: 'always' })
  const refresh = () => client.invalidateQueries({ queryKey: ['projects'] })
  const shown = found(list.data ?? [], sought, byName)
  const fail = (error: Error) => setProblem(error.message)
  const remove = useMutation({
    mutationFn: (project: ListedProject) => api.remove(project.id),
    onSuccess: (_, project) => {
      setDeleted(project)
      void refresh()
    },
    onError: fail,
  })
  const restore = useMutation({
    mutationFn: (project: ListedProject) => api.restore(project.id),
    onSuccess: () => {
      setDeleted(undefined)
      void refresh()
    },
    onError: fail,
  })
  const duplicate = useMutation({
    mutationFn: (id: string) => api.duplicate(id),
    onSuccess: refresh,
    onError: fail,
  })
  const rename = useMutation({
    mutationFn: ({ id, name }: { id: string; name: string }) => api.rename(id, name),
    onSuccess: refresh,
    onError: fail,
  })

  const [opening, setOpening] = useState<Opening>()
  const openFile = async (chosen: File | undefined) => {
    setProblem(undefined)
    if (!chosen) return
    const cancel = new AbortController()
    const say = (words: string, share?: number) => setOpening({ name: chosen.name, words, share, cancel })
    say('Looking at it …')
    try {
      // Reading and cleaning a file is not loaded before there is one.
      const { openProjectFile } = await import('./open-file')
      const id = await openProjectFile(chosen, say, cancel.signal)
      await navigate(`/projects/${id}`)
    } catch (error) {
      if (!cancel.signal.aborted)
        setProblem(
          `“${chosen.name}” was not opened${(error as Error).name === 'FormatError' ? '. In ' : ': '}${(error as Error).message}.`,
        )
    } finally {
      setOpening(undefined)
      if (file.current) file.current.value = ''
    }
  }

  return (
    <div className="flex h-full flex-col">
      <header className="rule-b flex h-11.5 flex-none items-center gap-3 px-3.5">
        <Mark />
        <h1 className="text-large font-bold">Just Lattice</h1>
        <span className="flex-1" />
        <ThemeButton />
        <button type="button" className="line-button" onClick={() => file.current?.click()}>
          <FolderOpen {...ICON} /> Open a file
        </button>
        <input
          ref={file}
          type="file"
          accept=".lattice,.json,application/json,application/zip"
          className="sr-only"
          tabIndex={-1}
          aria-label="Project file"
          onChange={(event) => void openFile(event.target.files?.[0])}
        />
        <button type="button" className="main-button" onClick={() => setNaming(true)}>
          <FilePlus2 {...ICON} /> New project
        </button>
      </header>
      <main className="min-h-0 flex-1 overflow-y-auto bg-(--desk) px-10 py-8">
        {problem && (
          <div role="alert" className="floating mx-auto mb-6 flex max-w-215 items-start gap-3 px-4 py-3">
            <span className="flex-1 leading-5 break-words">{problem}</span>
            <button
              type="button"
              className="plain-button font-semibold text-primary"
              onClick={() => setProblem(undefined)}
            >
              Understood
            </button>
          </div>
        )}
        {opening && <OpeningFile {...opening} />}
        {deleted && (
          <div role="status" className="floating mx-auto mb-6 flex max-w-215 items-center gap-3 px-4 py-2.5">
            <span className="flex-1">“{deleted.name}” was deleted.</span>
            <button type="button" className="line-button" onClick={() => restore.mutate(deleted)}>
              Bring it back
            </button>
          </div>
        )}
        <div className="mx-auto max-w-280">
          {list.isPending && <p className="soft">Looking for your projects …</p>}
          {list.isError && (
            <p role="alert">
              The projects cannot be listed: {list.error.message}.{' '}
              <button type="button" className="line-button" onClick={() => void list.refetch()}>
                Try again
              </button>
            </p>
          )}
          {list.data?.length === 0 && (
            <div className="py-20 text-center">
              <h2 className="mb-1 text-title font-bold">No projects yet</h2>
              <p className="mb-4 soft">
                Make one: choose its views, solve its lattice, place the first section.
              </p>
              <button type="button" className="main-button" onClick={() => setNaming(true)}>
                New project
              </button>
            </div>
          )}
          {(list.data?.length ?? 0) > 0 && (
            <Finding
              count={shown.length}
              sought={sought}
              byName={byName}
              onSeek={setSought}
              onSort={setByName}
            />
          )}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(310px,1fr))] gap-6">
            {shown.map((project) => (
              <ProjectCard
                key={project.id}
                project={project}
                onRename={(name) => rename.mutate({ id: project.id, name })}
                onDuplicate={() => duplicate.mutate(project.id)}
                onDelete={() => remove.mutate(project)}
              />
            ))}
          </ul>
          {sought !== '' && shown.length === 0 && (
            <p className="py-10 text-center soft">No project is called “{sought}”.</p>
          )}
          <Trash onRestored={refresh} />
        </div>
      </main>
      {naming && <NewProject onClose={() => setNaming(false)} />}
    </div>
  )
}

/** Projects whose name holds what is sought; as they were changed, or by their names. */
function found(projects: readonly ListedProject[], sought: string, byName: boolean): ListedProject[] {
  const words = sought.trim().toLowerCase()
  const list = projects.filter(({ name }) => name.toLowerCase().includes(words))
  return byName ? list.sort((a, b) => a.name.localeCompare(b.name)) : list
}

function Finding({
  count,
  sought,
  byName,
  onSeek,
  onSort,
}: {
  count: number
  sought: string
  byName: boolean
  onSeek: (text: string) => void
  onSort: (byName: boolean) => void
}) {
  const order = (name: boolean, words: string) => (
    <Pick
      name="order"
      on={byName === name}
      onPick={() => onSort(name)}
      className={`py-1 ${byName === name ? 'bg-base-100 font-bold' : 'soft'}`}
    >
      {words}
    </Pick>
  )
  return (
    <div className="mb-5 flex flex-wrap items-center gap-4">
      <span className="flex items-center gap-2">
        <Search {...ICON} className="soft" />
        <FindField label="Find a project" className="w-60" value={sought} onChange={onSeek} />
      </span>
      <fieldset className="flex items-center gap-1">
        <legend className="sr-only">Order</legend>
        {order(false, 'Last changed')}
        {order(true, 'A to Z')}
      </fieldset>
      <span role="status" className="ml-auto text-small soft">
        {count === 1 ? '1 project' : `${count} projects`}
      </span>
    </div>
  )
}
