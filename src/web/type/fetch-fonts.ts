/** The fonts of the project, fetched behind the board. */
export const fontsDialog = () => import('./fonts-dialog')

export const isFontFile = ({ name }: File) => /\.(woff2?|ttf|otf|ttc)$/i.test(name)
