/** What handed-off HTML is held to: html-validate's strictest presets. */
import type { ConfigData } from 'html-validate'

export const STRICT: ConfigData = {
  root: true,
  extends: [
    'html-validate:recommended',
    'html-validate:standard',
    'html-validate:document',
    'html-validate:a11y',
  ],
  // A style sheet of one's own that is edited next has no hash to be held to.
  rules: { 'require-sri': ['error', { target: 'crossorigin' }] },
}
