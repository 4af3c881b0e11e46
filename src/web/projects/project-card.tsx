/** One project of the list: its first screen, its name, and what can be done with it. */
import { MoreHorizontal } from 'lucide-react'
import { useState } from 'react'
import { Link } from 'react-router'
import { api, type ListedProject } from '../api'
import { Popover } from '../parts/popover'
import { RenameField } from '../parts/rename'

const ICON = { size: 16, strokeWidth: 1.75, 'aria-hidden': true } as const

/** “changed 5 min ago”. */
export function ago(what: string, iso: string): string {
  const minutes = Math.round((Date.now() - new Date(iso).getTime()) / 60_000)
  if (minutes < 1) return `${what} just now`
  if (minutes < 60) return `${what} ${minutes} min ago`
  if (minutes < 24 * 60) return `${what} ${Math.round(minutes / 60)} h ago`
  return `${what} ${new Date(iso).toLocaleDateString(undefined, { day: 'numeric', month: 'long' })}`
}

type CardProps = {
  project: ListedProject
  onRename: (name: string) => void
  onDuplicate: () => void
  onDelete: () => void
}

export function ProjectCard({ project, onRename, onDuplicate, onDelete }: CardProps) {
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
          <p className="text-small soft">{ago('changed', project.changed)}</p>
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
                className="block w-full rounded-field px-2 py-1.5 text-left hover:bg-base-200"
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
