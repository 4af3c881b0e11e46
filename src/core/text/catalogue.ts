/** The installed font families: written by fonts/catalogue.mjs, not by hand. */
export const CATALOGUE = [
  {
    "family": "Hanken Grotesk",
    "slug": "hanken-grotesk",
    "category": "sans",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F"
      }
    ]
  },
  {
    "family": "Work Sans",
    "slug": "work-sans",
    "category": "sans",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      }
    ]
  },
  {
    "family": "Figtree",
    "slug": "figtree",
    "category": "sans",
    "weights": [
      300,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      }
    ]
  },
  {
    "family": "Outfit",
    "slug": "outfit",
    "category": "sans",
    "weights": [
      100,
      900
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      }
    ]
  },
  {
    "family": "Fraunces",
    "slug": "fraunces",
    "category": "serif",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      }
    ]
  },
  {
    "family": "Literata",
    "slug": "literata",
    "category": "serif",
    "weights": [
      200,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF"
      },
      {
        "name": "greek-ext",
        "ranges": "U+1F00-1FFF"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F"
      }
    ]
  },
  {
    "family": "Newsreader",
    "slug": "newsreader",
    "category": "serif",
    "weights": [
      200,
      800
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      }
    ]
  },
  {
    "family": "Source Serif 4",
    "slug": "source-serif-4",
    "category": "serif",
    "weights": [
      200,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C4,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F"
      }
    ]
  },
  {
    "family": "Bitter",
    "slug": "bitter",
    "category": "slab",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F"
      }
    ]
  },
  {
    "family": "Bricolage Grotesque",
    "slug": "bricolage-grotesque",
    "category": "display",
    "weights": [
      200,
      800
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      }
    ]
  },
  {
    "family": "JetBrains Mono",
    "slug": "jetbrains-mono",
    "category": "mono",
    "weights": [
      100,
      800
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB"
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F"
      }
    ]
  },
  {
    "family": "Caveat",
    "slug": "caveat",
    "category": "hand",
    "weights": [
      400,
      700
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F"
      }
    ]
  }
]
