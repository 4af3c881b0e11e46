/** Names that every object answers to without having them: as keys they would read or change what all objects share. */
export const isInherited = (name: string): boolean => name in Object.prototype
