/** What was deleted, with a way back. */
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query'
import { api } from '../api'
import { ago } from './project-card'

export function Trash({ onRestored }: { onRestored: () => void }) {
  const client = useQueryClient()
  const trash = useQuery({ queryKey: ['projects', 'trash'], queryFn: api.trash, refetchOnMount: 'always' })
  const restore = useMutation({
    mutationFn: api.restore,
    onSuccess: () => {
      void client.invalidateQueries({ queryKey: ['projects'] })
      onRestored()
    },
  })
  if (!trash.data || trash.data.length === 0) return null
  return (
    <details className="mt-10">
      <summary className="cursor-pointer font-semibold">
        Trash <span className="font-normal soft">{trash.data.length}</span>
      </summary>
      <ul className="mt-2 max-w-155">
        {trash.data.map(({ id, name, deleted }) => (
          <li key={id} className="rule-b flex min-h-9.5 items-center gap-3">
            <span className="min-w-0 flex-1 truncate">{name}</span>
            <span className="text-small soft">{ago('deleted', deleted)}</span>
            <button
              type="button"
              className="line-button"
              aria-label={`Bring ${name} back`}
              disabled={restore.isPending}
              onClick={() => restore.mutate(id)}
            >
              Bring it back
            </button>
          </li>
        ))}
      </ul>
      {restore.isError && (
        <p role="alert" className="mt-2 text-error">
          It could not be brought back: {restore.error.message}.
        </p>
      )}
    </details>
  )
}
