/** Taking a backdrop away, fetched behind the board. */
export const backdropDialog = () => import('./backdrop-dialog')
