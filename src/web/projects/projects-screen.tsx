/** All projects: open, make, open a file, rename, duplicate, delete with a way back. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { FilePlus2, FolderOpen, MoreHorizontal } from 'lucide-react'
import { useEffect, useRef, useState } from 'react'
import { Link, useNavigate } from 'react-router'
import { api, type ListedProject } from '../api'
import { Dialog } from '../parts/dialog'
import { fetchPanels } from '../parts/floating'
import { Mark } from '../parts/mark'
import { Popover } from '../parts/popover'
import { RenameField } from '../parts/rename'
import { ThemeButton } from '../parts/theme-button'
import { whenIdle } from '../parts/when-idle'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

function when(iso: string): string {
  const minutes = Math.round((Date.now() - new Date(iso).getTime()) / 60_000)
  if (minutes < 1) return 'changed just now'
  if (minutes < 60) return `changed ${minutes} min ago`
  if (minutes < 24 * 60) return `changed ${Math.round(minutes / 60)} h ago`
  return `changed ${new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'long' })}`
}

type Opening = { name: string; words: string; share?: number; cancel: AbortController }

/** A file that is being opened: how far, and a way to leave it. */
function OpeningFile({ name, words, share, cancel }: Opening) {
  return (
    <div role="status" className="floating mx-auto mb-6 flex max-w-[860px] items-center gap-3 px-4 py-2.5">
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
  const list = useQuery({ queryKey: ['projects'], queryFn: api.list, refetchOnMount: 'always' })
  const refresh = () => client.invalidateQueries({ queryKey: ['projects'] })
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
      <header className="rule-b flex h-[46px] flex-none items-center gap-3 px-3.5">
        <Mark />
        <h1 className="text-[15px] font-bold">Just Lattice</h1>
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
          <div role="alert" className="floating mx-auto mb-6 flex max-w-[860px] items-start gap-3 px-4 py-3">
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
          <div
            role="status"
            className="floating mx-auto mb-6 flex max-w-[860px] items-center gap-3 px-4 py-2.5"
          >
            <span className="flex-1">“{deleted.name}” was deleted.</span>
            <button type="button" className="line-button" onClick={() => restore.mutate(deleted)}>
              Bring it back
            </button>
          </div>
        )}
        <div className="mx-auto max-w-[1120px]">
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
              <h2 className="mb-1 text-[18px] font-bold">No projects yet</h2>
              <p className="mb-4 soft">
                Make one: choose its views, solve its lattice, place the first section.
              </p>
              <button type="button" className="main-button" onClick={() => setNaming(true)}>
                New project
              </button>
            </div>
          )}
          <ul className="grid grid-cols-[repeat(auto-fill,minmax(310px,1fr))] gap-6">
            {list.data?.map((project) => (
              <ProjectCard
                key={project.id}
                project={project}
                onRename={(name) => rename.mutate({ id: project.id, name })}
                onDuplicate={() => duplicate.mutate(project.id)}
                onDelete={() => remove.mutate(project)}
              />
            ))}
          </ul>
        </div>
      </main>
      {naming && <NewProject onClose={() => setNaming(false)} />}
    </div>
  )
}

type CardProps = {
  project: ListedProject
  onRename: (name: string) => void
  onDuplicate: () => void
  onDelete: () => void
}

function ProjectCard({ project, onRename, onDuplicate, onDelete }: CardProps) {
  const [renaming, setRenaming] = useState(false)
  return (
    <li className="floating overflow-hidden" data-project={project.name}>
      <Link
        to={`/projects/${project.id}`}
        aria-label={`Open ${project.name}`}
        className="block border-b border-base-300"
      >
        <img
          src={api.pictureUrl(project.id, project.revision)}
          alt={`The first screen of ${project.name}`}
          className="aspect-[16/10] w-full bg-white object-cover object-top"
        />
      </Link>
      <div className="flex items-center gap-2 px-3 py-2.5">
        <div className="min-w-0 flex-1">
          {renaming ? (
            <RenameField
              label="Project name"
              value={project.name}
              className="w-full"
              onRename={onRename}
              onDone={() => setRenaming(false)}
            />
          ) : (
            <Link to={`/projects/${project.id}`} className="block truncate font-bold">
              {project.name}
            </Link>
          )}
          <p className="text-[12px] soft">{when(project.changed)}</p>
        </div>
        <Popover
          label={`More for ${project.name}`}
          className="icon-button"
          button={<MoreHorizontal {...ICON} />}
          width={150}
        >
          {(close) =>
            [
              ['Rename', () => setRenaming(true)] as const,
              ['Duplicate', onDuplicate] as const,
              ['Delete', onDelete] as const,
            ].map(([word, run]) => (
              <button
                key={word}
                type="button"
                data-option
                className="block w-full rounded-[3px] px-2 py-1.5 text-left hover:bg-base-200"
                onClick={() => {
                  close()
                  run()
                }}
              >
                {word}
              </button>
            ))
          }
        </Popover>
      </div>
    </li>
  )
}

function NewProject({ onClose }: { onClose: () => void }) {
  const navigate = useNavigate()
  const [name, setName] = useState('')
  const create = useMutation({
    mutationFn: () => api.create(name.trim()),
    onSuccess: ({ id }) => navigate(`/projects/${id}`),
  })
  return (
    <Dialog title="New project" onClose={onClose} width={420}>
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
        <p className="mt-2 text-[12px] soft">
          It begins with an empty Home page at Desktop 1440 and Mobile 390. Both can be changed.
        </p>
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
