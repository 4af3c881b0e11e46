/** What a style sheet begins with: elements as plain boxes, before any class says more. The board stands on the same. */

export const RESET = `*,
*::before,
*::after {
  box-sizing: border-box;
  margin: 0;
  padding: 0;
  border: 0 solid;
}

html {
  text-rendering: geometricPrecision;
  /* Weights and shapes are those that the files have. */
  font-synthesis-weight: none;
  font-optical-sizing: none;
  -webkit-text-size-adjust: none;
  text-size-adjust: none;
}

body {
  /* 100cqw is the page's width without its scroll bar. */
  container-type: inline-size;
}

picture {
  display: contents;
}

/* Browsers give it a box, which would be an item of the row or lattice. */
source {
  display: none;
}

/* Not one in another, whose size is a share of that. */
:not(svg) > svg {
  /* As large as what it lies in, and no reason for that to be larger. */
  width: 0;
  height: 0;
  min-width: 100%;
  min-height: 100%;
  overflow: visible;
}

img {
  display: block;
  width: auto;
  height: auto;
  min-width: 0;
  min-height: 0;
}

a,
button {
  color: inherit;
  text-decoration: none;
}

button {
  appearance: none;
  background: none;
  font: inherit;
  letter-spacing: inherit;
  text-align: inherit;
  text-rendering: inherit;
  text-transform: inherit;
  cursor: pointer;
}

ul {
  list-style: none;
}

cite {
  font-style: inherit;
}`

/** East Asian signs are as wide as they are drawn, at the ends of lines and beside one another, too (CSS Text 4 §8.4). */
export const WHOLE_SIGNS = 'html {\n  text-spacing-trim: space-all;\n}'

/** What is behind a button in some views is in the others where it stands, and looks like what it is. */
export const PANELS = `[popover] {
  display: block;
  position: static;
  inset: auto;
  width: auto;
  height: auto;
  overflow: visible;
  color: inherit;
  background: none;
}`
