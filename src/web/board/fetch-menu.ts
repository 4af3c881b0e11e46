/** The menu at the pointer, fetched behind the board. */
export const contextMenu = () => import('./context-menu')
