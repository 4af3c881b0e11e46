/** What is said of blocks, fetched behind the board: at first none is selected. */
export const blockSpec = () => import('./block-spec')
