/** Choosing colours, fetched behind the board. */
export const colorPanel = () => import('./color-panel')
