import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { restoreTheme } from './editor/theme'
import { TipsLayer } from './parts/tips-layer'
import { ProjectsScreen } from './projects/projects-screen'
import './theme.css'

restoreTheme()
const client = new QueryClient({ defaultOptions: { queries: { retry: 1 } } })
const router = createBrowserRouter([
  { path: '/', element: <ProjectsScreen /> },
  {
    path: '/projects/:id',
    // The editor and the shaping of text are not fetched before a project is opened.
    lazy: async () => ({ Component: (await import('./editor/editor')).EditorScreen }),
    hydrateFallbackElement: <main className="grid h-full place-items-center soft">Opening …</main>,
  },
  { path: '*', element: <ProjectsScreen /> },
])

createRoot(document.getElementById('root')!).render(
  <QueryClientProvider client={client}>
    <RouterProvider router={router} />
    <TipsLayer />
  </QueryClientProvider>,
)
