import { QueryClient, QueryClientProvider } from '@tanstack/react-query'
import { createRoot } from 'react-dom/client'
import { createBrowserRouter, RouterProvider } from 'react-router'
import { EditorScreen } from './editor/editor'
import { restoreTheme } from './editor/theme'
import { ProjectsScreen } from './projects/projects-screen'
import './theme.css'

restoreTheme()
const client = new QueryClient({ defaultOptions: { queries: { retry: 1 } } })
const router = createBrowserRouter([
  { path: '/', element: <ProjectsScreen /> },
  { path: '/projects/:id', element: <EditorScreen /> },
  { path: '*', element: <ProjectsScreen /> },
])

createRoot(document.getElementById('root')!).render(
  <QueryClientProvider client={client}>
    <RouterProvider router={router} />
  </QueryClientProvider>,
)
