/** The project's tokens, fetched behind the board. */
export const tokensDialog = () => import('./tokens-dialog')
