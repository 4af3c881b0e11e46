/** What is done to pictures, fetched behind the board. */
export const backdropDialog = () => import('./backdrop-dialog')
export const cutDialog = () => import('./cut-dialog')
