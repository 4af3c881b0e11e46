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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-1f,7f-9f,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-18e,190-191,193-19c,19e-19f,1a2-1ae,1b1-1cc,1d5-1e5,1e8-1e9,1ec-1f9,200-217,21c-231,234-236,238-258,25a-271,273-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2f4,2f7-2ff,329,1d00-1dbf,1e00-1e1f,1e22-1e43,1e46-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20aa,20ad-20b0,20b2,20b5-20b7,20b9-20bc,20be-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,17f-18e,190-191,193-19c,19e-19f,1a2-1ae,1b1-1cc,1d5-1e5,1e8-1e9,1ec-1f9,200-217,21c-231,234-236,238-258,25a-271,273-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2f4,2f7-2ff,329,1d00-1dbf,1e00-1e1f,1e22-1e43,1e46-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20aa,20ad-20b0,20b2,20b5-20b7,20b9-20bc,20be-20c0,2113,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "1-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,149,152-153,180-18d,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1dc,1de-1e5,1e8-1e9,1ec-1f0,1f4-1f9,21c-229,22e-22f,234-236,238-240,243-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,149,152-153,180-18d,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1dc,1de-1e5,1e8-1e9,1ec-1f0,1f4-1f9,21c-229,22e-22f,234-236,238-240,243-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "114-115,128-129,12c-12d,131,138,13f-140,149,14e-14f,152-153,162-163,166-169,17f-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20b8,20ba-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "114-115,128-129,12c-12d,131,138,13f-140,149,14e-14f,152-153,162-163,166-169,17f-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20b8,20ba-20c0,2113,2c60-2c7f,a720-a7ff"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "108-109,114-115,11c-11d,124-125,128-129,12c-12d,131,134-135,138,13f-140,149,14e-14f,152-153,15c-15d,162-163,166-169,17f-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,2020,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Manrope",
    "slug": "manrope",
    "category": "sans",
    "weights": [
      200,
      800
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb-2bc,304,308,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "114-115,12c-12d,131-133,138,13f-140,149,14e-14f,152-153,17f-191,193-19f,1a2-1ae,1b1-217,21c-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,304,308,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20a2,20a4-20a8,20ad,20af-20b0,20b2-20b3,20b5-20b8,20bb-20bc,20be,20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "300-301,303-304,308-309,323,329",
        "italicHoles": ""
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "370-373,376-377,37a-37d,37f,3cf-3ff",
        "italicHoles": ""
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "301,4b0-4b1",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-4ad,4b0-4b9,4bc-4e7,4ea-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "DM Sans",
    "slug": "dm-sans",
    "category": "sans",
    "weights": [
      100,
      1000
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "108-109,11c-11d,124-125,131,134-135,138,149,152-153,15c-15d,166-167,17f-18e,190-191,193-1fb,1fe-217,21c-236,238-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1ef7,1efa-1eff,20a0-20a7,20a9-20ab,20ad-20b8,20bb-20bc,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "108-109,11c-11d,124-125,131,134-135,138,149,152-153,15c-15d,166-167,17f-18e,190-191,193-1fb,1fe-217,21c-236,238-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1ef7,1efa-1eff,20a0-20a7,20a9-20ab,20ad-20b8,20bb-20bc,20be-20c0,2c60-2c7f,a720-a7ff"
      }
    ]
  },
  {
    "family": "Plus Jakarta Sans",
    "slug": "plus-jakarta-sans",
    "category": "sans",
    "weights": [
      200,
      800
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20af-20b0,20b6-20b7,20bb,20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20af-20b0,20b6-20b7,20bb,20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f"
      }
    ]
  },
  {
    "family": "Instrument Sans",
    "slug": "instrument-sans",
    "category": "sans",
    "kind": "wdth",
    "weights": [
      400,
      700
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,a4,a6,ac-ad,b1-b3,b5,b9,bc-be,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-206f,2215,feff,fffd",
        "italicHoles": "0-1f,7f-9f,a4,a6,ac-ad,b1-b3,b5,b9,bc-be,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-206f,2215,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "108-109,114-115,11c-11d,124-125,128-129,12c-12d,131,134-135,138,13f-140,149,14e-14f,152-153,15c-15d,162-163,166-169,17f-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,2020,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "108-109,114-115,11c-11d,124-125,128-129,12c-12d,131,134-135,138,13f-140,149,14e-14f,152-153,15c-15d,162-163,166-169,17f-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,2020,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff"
      }
    ]
  },
  {
    "family": "Archivo",
    "slug": "archivo",
    "category": "sans",
    "kind": "wdth",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2008,200a-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2008,200a-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,180-18e,190-191,193-19c,19e-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-271,273-2b8,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e23,1e26-1e61,1e64-1e6b,1e6e-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,180-18e,190-191,193-19c,19e-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-271,273-2b8,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e23,1e26-1e61,1e64-1e6b,1e6e-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      }
    ]
  },
  {
    "family": "Inter Tight",
    "slug": "inter-tight",
    "category": "sans",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2215,fffd",
        "italicHoles": "0-1f,7f-9f,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2215,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,149,152-153,1c4,1d00-1d42,1d44-1d46,1d4a-1d4c,1d4e,1d51,1d53-1d55,1d59-1d5a,1d5c-1d61,1d66-1d9b,1d9d-1d9f,1da1-1dba,1dbc-1dbe,20c0,2c60-2c7b,2c7d-2c7e,a720-a7fe",
        "italicHoles": "131,149,152-153,1c4,1d00-1d42,1d44-1d46,1d4a-1d4c,1d4e,1d51,1d53-1d55,1d59-1d5a,1d5c-1d61,1d66-1d9b,1d9d-1d9f,1da1-1dba,1dbc-1dbe,20c0,2c60-2c7b,2c7d-2c7e,a720-a7fe"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "309",
        "italicHoles": "309"
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "3e2-3ef",
        "italicHoles": "3e2-3ef"
      },
      {
        "name": "greek-ext",
        "ranges": "U+1F00-1FFF",
        "uprightHoles": "1f16-1f17,1f1e-1f1f,1f46-1f47,1f4e-1f4f,1f58,1f5a,1f5c,1f5e,1f7e-1f7f,1fb5,1fc5,1fd4-1fd5,1fdc,1ff0-1ff1,1ff5,1fff",
        "italicHoles": "1f16-1f17,1f1e-1f1f,1f46-1f47,1f4e-1f4f,1f58,1f5a,1f5c,1f5e,1f7e-1f7f,1fb5,1fc5,1fd4-1fd5,1fdc,1ff0-1ff1,1ff5,1fff"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "490-491,49e-49f,4b0-4b1,500-52e,1c80-1c8a,2de0-2dfe,a640-a69e,fe2e-fe2f",
        "italicHoles": "490-491,49e-49f,4b0-4b1,500-52e,1c80-1c8a,2de0-2dfe,a640-a69e,fe2e-fe2f"
      }
    ]
  },
  {
    "family": "Urbanist",
    "slug": "urbanist",
    "category": "sans",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f",
        "italicHoles": "1-c,e-1f,7f-9f,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "110-111,114-115,123,126-127,12c-12d,131,138,13f-142,149-14b,14e-14f,152-153,166-167,17f-1cc,1dd,1e0-1e1,1e4-1e5,1ea-217,21c-229,22c-231,234-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e03,1e06-1e0b,1e0e-1e1f,1e22-1e23,1e26-1e2d,1e30-1e35,1e38-1e3d,1e48-1e61,1e64-1e6b,1e6e-1e7f,1e86-1e91,1e94-1e96,1e98-1e9d,1e9f,1ef6-1ef7,1efa-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "110-111,114-115,123,126-127,12c-12d,131,138,13f-142,149-14b,14e-14f,152-153,166-167,17f-1cc,1dd,1e0-1e1,1e4-1e5,1ea-217,21c-229,22c-231,234-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e03,1e06-1e0b,1e0e-1e1f,1e22-1e23,1e26-1e2d,1e30-1e35,1e38-1e3d,1e48-1e61,1e64-1e6b,1e6e-1e7f,1e86-1e91,1e94-1e96,1e98-1e9d,1e9f,1ef6-1ef7,1efa-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff"
      }
    ]
  },
  {
    "family": "Space Grotesk",
    "slug": "space-grotesk",
    "category": "sans",
    "weights": [
      300,
      700
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,181-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-242,244-250,252-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be,20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": ""
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1d8,1db-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2b8,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e44-1e45,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e60-1e61,1e66-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1d8,1db-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2b8,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e44-1e45,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e60-1e61,1e66-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "309,323,329",
        "italicHoles": "309,329"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "0-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-250,252-258,25a-260,262-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20af-20b0,20b3,20b6-20b7,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-250,252-258,25a-260,262-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20af-20b0,20b3,20b6-20b7,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "370-373,376-377,37b-37d,37f,3cf-3d6,3e2-3ff",
        "italicHoles": "370-373,376-377,37b-37d,37f,3cf-3d6,3e2-3ff"
      },
      {
        "name": "greek-ext",
        "ranges": "U+1F00-1FFF",
        "uprightHoles": "1f16-1f17,1f1e-1f1f,1f46-1f47,1f4e-1f4f,1f58,1f5a,1f5c,1f5e,1f7e-1f7f,1fb5,1fc5,1fd4-1fd5,1fdc,1ff0-1ff1,1ff5,1fff",
        "italicHoles": "1f16-1f17,1f1e-1f1f,1f46-1f47,1f4e-1f4f,1f58,1f5a,1f5c,1f5e,1f7e-1f7f,1fb5,1fc5,1fd4-1fd5,1fdc,1ff0-1ff1,1ff5,1fff"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "400,450",
        "italicHoles": "400,450"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-461,464-469,46c-491,494-495,498-499,49c-4a1,4a4-4ad,4b0-4b9,4bc-4d7,4da-4e7,4ea-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-461,464-469,46c-491,494-495,498-499,49c-4a1,4a4-4ad,4b0-4b9,4bc-4d7,4da-4e7,4ea-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131-133,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2b8,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131-133,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2b8,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "0-1f,7f-9f,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C4,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "12c-12d,131-133,152-153,166-167,180-18e,190-191,193-19f,1a2-1ae,1b1-1cc,1dd-1e5,1e8-1f7,1fa-217,21c-236,238-250,252-258,25a-260,262-2af,2b1,2b4-2b6,2b9-2ba,2bd,2c0-2c5,2ce-2d7,2de-2e0,2e4-2ff,1d00-1d42,1d44-1d46,1d4a-1d4c,1d4e,1d51,1d53-1d55,1d59-1d5a,1d5c-1d9b,1d9d-1d9f,1da1-1dba,1dbc-1dbf,1e00-1e0b,1e10-1e1f,1e22-1e23,1e26-1e29,1e2c-1e35,1e3c-1e3d,1e40-1e41,1e4a-1e59,1e64-1e6b,1e70-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2-20a3,20a5,20a8,20aa,20ad,20af-20b0,20b3,20b6-20b7,20bb-20bc,20be,20c0-20c4,2c60-2c7f,a720-a7ff",
        "italicHoles": "12c-12d,131-133,152-153,166-167,180-18e,190-191,193-19f,1a2-1ae,1b1-1cc,1dd-1e5,1e8-1f7,1fa-217,21c-236,238-250,252-258,25a-260,262-2af,2b1,2b4-2b6,2b9-2ba,2bd,2c0-2c5,2ce-2d7,2de-2e0,2e4-2ff,1d00-1d42,1d44-1d46,1d4a-1d4c,1d4e,1d51,1d53-1d55,1d59-1d5a,1d5c-1d9b,1d9d-1d9f,1da1-1dba,1dbc-1dbf,1e00-1e0b,1e10-1e1f,1e22-1e23,1e26-1e29,1e2c-1e35,1e3c-1e3d,1e40-1e41,1e4a-1e59,1e64-1e6b,1e70-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2-20a3,20a5,20a8,20aa,20ad,20af-20b0,20b3,20b6-20b7,20bb-20bc,20be,20c0-20c4,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "370-373,376-377,37a-37d,37f,3cf-3d6,3d8,3da,3dc,3de-3e0,3e2-3ff",
        "italicHoles": "370-373,376-377,37a-37d,37f,3cf-3d6,3d8,3da,3dc,3de-3e0,3e2-3ff"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-461,464-471,476-491,494-495,49c-49f,4a4-4a9,4ac-4ad,4b0-4b1,4b4-4b5,4b8-4b9,4bc-4bf,4c3-4ce,4d2-4d3,4da-4e1,4e4-4e5,4ea-4ed,4f0-4f1,4f4-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-461,464-471,476-491,494-495,49c-49f,4a4-4a9,4ac-4ad,4b0-4b1,4b4-4b5,4b8-4b9,4bc-4bf,4c3-4ce,4d2-4d3,4da-4e1,4e4-4e5,4ea-4ed,4f0-4f1,4f4-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f"
      }
    ]
  },
  {
    "family": "Lora",
    "slug": "lora",
    "category": "serif",
    "weights": [
      400,
      700
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,ad,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,138,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1b6,1b8-1cc,1cf-1d2,1d5-1e3,1ea-1ed,1f0-1fd,200-217,21c-21d,220-236,238-258,25a-291,293-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20ab,20ad,20af-20b3,20b5-20b7,20b9,20bb-20bc,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,138,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1b6,1b8-1cc,1cf-1d2,1d5-1e3,1ea-1ed,1f0-1fd,200-217,21c-21d,220-236,238-258,25a-291,293-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20ab,20ad,20af-20b3,20b5-20b7,20b9,20bb-20bc,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329,20ab",
        "italicHoles": "329,20ab"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-461,464-469,46e-471,476-489,490-491,4b0-4b1,500-50f,514-519,51e-523,52a-52d,1c80,1c82-1c84,1c86-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-461,464-469,46e-471,476-489,490-491,4b0-4b1,500-50f,514-519,51e-523,52a-52d,1c80,1c82-1c84,1c86-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f"
      }
    ]
  },
  {
    "family": "Playfair Display",
    "slug": "playfair-display",
    "category": "serif",
    "weights": [
      400,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,b5,329,2000-2008,200a-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2215,feff,fffd",
        "italicHoles": "1-c,e-1f,7f-9f,b5,329,2000-2008,200a-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2215,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1b6,1b8-1cc,1cf-1d2,1d5-1e3,1ea-1ed,1f0-1f3,1f6-1fd,200-217,21c-21d,220-236,238-258,25a-291,293-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20ab,20ad-20b8,20ba-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1b6,1b8-1cc,1cf-1d2,1d5-1e3,1ea-1ed,1f0-1f3,1f6-1fd,200-217,21c-21d,220-236,238-258,25a-291,293-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20ab,20ad-20b8,20ba-20c0,2113,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329,20ab",
        "italicHoles": "329,20ab"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Crimson Pro",
    "slug": "crimson-pro",
    "category": "serif",
    "weights": [
      200,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "1-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1ce,1d0-1e5,1e8-1e9,1ec-1f9,21c-225,228-229,22e-22f,234-236,238-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1ce,1d0-1e5,1e8-1e9,1ec-1f9,21c-225,228-229,22e-22f,234-236,238-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      }
    ]
  },
  {
    "family": "Petrona",
    "slug": "petrona",
    "category": "serif",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131-133,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131-133,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      }
    ]
  },
  {
    "family": "Bodoni Moda",
    "slug": "bodoni-moda",
    "category": "serif",
    "weights": [
      400,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,ad,2bb-2bc,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,180-191,193-211,214-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e8a-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,180-191,193-211,214-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e8a-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,ad,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": "1-c,e-1f,7f-9f,ad,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f0,1f4-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20af-20b0,20b3,20b6-20b7,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f0,1f4-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20af-20b0,20b3,20b6-20b7,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-461,464-469,46c-471,478-489,490-491,4b0-4b1,500-50f,514-519,51e-523,52a-52d,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-461,464-469,46c-471,478-489,490-491,4b0-4b1,500-50f,514-519,51e-523,52a-52d,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f"
      }
    ]
  },
  {
    "family": "Roboto Slab",
    "slug": "roboto-slab",
    "category": "slab",
    "weights": [
      100,
      900
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,2bb,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1ef,1f1-1f9,200-217,21c-236,238-258,25a-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2f2,2f4-2ff,329,1d00-1dbf,1e02-1e3d,1e40-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20a2,20a5-20a6,20a8-20aa,20ad-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": ""
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "370-377,37a-37f,3cf-3d0,3d3-3d5,3d7-3ff",
        "italicHoles": ""
      },
      {
        "name": "greek-ext",
        "ranges": "U+1F00-1FFF",
        "uprightHoles": "1f00-1f4c,1f4e-1ffc,1fff",
        "italicHoles": ""
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "487,490-491,4b0-4b1,514-52f,1c80-1c8a,20b4,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Rokkitt",
    "slug": "rokkitt",
    "category": "slab",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1d5-1e1,1e4-1e5,1ec-1ef,1f6-1f7,21c-21d,220-225,234-236,238-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e01,1e04-1e07,1e10-1e13,1e18-1e1b,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e3f,1e4a-1e4b,1e54-1e55,1e58-1e59,1e5c-1e5d,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1d5-1e1,1e4-1e5,1ec-1ef,1f6-1f7,21c-21d,220-225,234-236,238-258,25a-2b8,2bd,2c0-2c5,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e01,1e04-1e07,1e10-1e13,1e18-1e1b,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e3f,1e4a-1e4b,1e54-1e55,1e58-1e59,1e5c-1e5d,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      }
    ]
  },
  {
    "family": "Bricolage Grotesque",
    "slug": "bricolage-grotesque",
    "category": "display",
    "kind": "wdth",
    "weights": [
      200,
      800
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,a4,ad,2bb-2bc,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2215,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "108-109,114-115,11c-11d,124-125,12c-12d,131,134-135,138,13f-140,149,14e-14f,152-153,15c-15d,162-163,166-167,17f-19f,1a2-1ae,1b1-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2-20a3,20a5,20a7,20aa,20af-20b0,20b3,20b6-20b7,20bb,20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Syne",
    "slug": "syne",
    "category": "display",
    "weights": [
      400,
      800
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb-2bc,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "108-109,114-115,11c-11d,124-125,128-129,12c-12d,131,134-135,138,149,14e-14f,152-153,15c-15d,168-169,16c-16d,17f-191,193-217,21c-22d,22f-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9f,1ef4-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "370-377,37a-37d,37f,3cf-3ff",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Unbounded",
    "slug": "unbounded",
    "category": "display",
    "weights": [
      200,
      900
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,b5,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,182-185,18b-18d,195,1a2-1a3,1a6-1a8,1ab,1ba-1bf,1f6-1f7,221-225,234-236,23f-240,255,258,25a,25c-25e,262,26b,26d-26e,270,273-274,276-277,279-27c,27f-282,285-287,28d,28f-291,293,296-297,299-29c,29e-2a6,2a8-2af,2b4-2b6,2ba,2bd,2c2-2c5,2ca-2cc,2ce-2d7,2de-2e0,2e4-2ff,1d00-1d7c,1d7e-1dba,1dbc-1dbe,1e9c-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a7-20a8,20aa,20ae-20b0,20b3,20b6-20b7,20bb,20be-20c0,2113,2c60-2c62,2c67-2c6c,2c71,2c74-2c7f,a720-a725,a728-a78a,a78e-a797,a79a-a7a9,a7ab,a7af-a7b1,a7b8-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "4b0-4b1",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-52f,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Big Shoulders Display",
    "slug": "big-shoulders-display",
    "category": "display",
    "weights": [
      100,
      900
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131-133,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1de-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c7-2cc,2ce-2d7,2dd-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Anybody",
    "slug": "anybody",
    "category": "display",
    "kind": "wdth",
    "weights": [
      100,
      900
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,149,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1dd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e07,1e0a-1e0b,1e10-1e13,1e18-1e1b,1e1e-1e1f,1e22-1e23,1e26-1e29,1e2c-1e2d,1e30-1e35,1e38-1e39,1e3c-1e41,1e4a-1e4b,1e54-1e59,1e5c-1e5d,1e6a-1e6b,1e70-1e77,1e7c-1e7f,1e86-1e8d,1e90-1e91,1e94-1e96,1e98-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      }
    ]
  },
  {
    "family": "Gabarito",
    "slug": "gabarito",
    "category": "display",
    "weights": [
      400,
      900
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-1f,7f-9f,ad,2bb-2bc,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2215,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "108-109,114-115,11c-11d,124-125,128-129,12c-12d,131,134-135,138,13f-140,149,14e-14f,152-153,15c-15d,162-163,166-169,17f-1cc,1cf-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,2020,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Oswald",
    "slug": "oswald",
    "category": "display",
    "weights": [
      200,
      700
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1b6,1b8-1c3,1cf-1d2,1d5-1e3,1ec-1ed,1f0,1f6-1f9,21c-21d,220-229,22e-22f,234-236,238-258,25a-291,293-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e01,1e04-1e09,1e0c-1e1d,1e20-1e3f,1e42-1e55,1e58-1e5f,1e62-1e69,1e6c-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20af-20b0,20b3,20b6-20b7,20bb,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": ""
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-461,464-469,46c-471,476-489,490-491,4b0-4b1,500-50f,514-51b,51e-523,52a-52d,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": ""
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,fffd",
        "italicHoles": "0-c,e-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,fffd"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131-133,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1cc,1cf-1e5,1e8-1e9,1ec-1f3,1f6-1fb,200-217,21c-231,234-236,238-258,25a-2b8,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2f2,2f4-2f6,2f8-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20aa,20ad,20af-20bc,20be,20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": "131-133,152-153,180-18e,190-191,193-19f,1a2-1ae,1b1-1cc,1cf-1e5,1e8-1e9,1ec-1f3,1f6-1fb,200-217,21c-231,234-236,238-258,25a-2b8,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2f2,2f4-2f6,2f8-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0-20aa,20ad,20af-20bc,20be,20c0,2c60-2c7f,a720-a7ff"
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": "329"
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "370-373,376-377,37a-37d,37f,3d0-3d6,3d8-3ff",
        "italicHoles": "370-373,376-377,37a-37d,37f,3d0-3d6,3d8-3ff"
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "400,40d,450,45d,4b0-4b1",
        "italicHoles": "400,40d,450,45d,4b0-4b1"
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-4ad,4b0-4e7,4ea-52f,1c80-1c8a,20b4,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": "460-4ad,4b0-4e7,4ea-52f,1c80-1c8a,20b4,2de0-2dff,a640-a69f,fe2e-fe2f"
      }
    ]
  },
  {
    "family": "Fira Code",
    "slug": "fira-code",
    "category": "mono",
    "weights": [
      300,
      700
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,2bb,329,2000-200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-191,193-1fb,200-217,21c-236,238-2b8,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20ae,20b0-20b8,20bb-20bc,20be-20c0,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "greek",
        "ranges": "U+0370-0377,U+037A-037F,U+0384-038A,U+038C,U+038E-03A1,U+03A3-03FF",
        "uprightHoles": "3e2-3ef",
        "italicHoles": ""
      },
      {
        "name": "greek-ext",
        "ranges": "U+1F00-1FFF",
        "uprightHoles": "1f16-1f17,1f1e-1f1f,1f46-1f47,1f4e-1f4f,1f58,1f5a,1f5c,1f5e,1f7e-1f7f,1fb5,1fc5,1fd4-1fd5,1fdc,1ff0-1ff1,1ff5,1fff",
        "italicHoles": ""
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "47a-489,490-491,4b0-4b1,1c80-1c8a,20b4,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Red Hat Mono",
    "slug": "red-hat-mono",
    "category": "mono",
    "weights": [
      300,
      700
    ],
    "italic": true,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "0-c,e-1f,7f-9f,ad,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f",
        "italicHoles": "0-c,e-1f,7f-9f,ad,329,2000-2001,2003-2008,200a,200c-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f"
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,13f-140,149,152-153,17f-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": "131,13f-140,149,152-153,17f-217,21c-236,238-2ba,2bd-2c5,2c8-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1ef4-1eff,20a0-20ab,20ad-20c0,2113,2c60-2c7f,a720-a7ff"
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
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2031,2034-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-18e,190-191,193-1c3,1cd-1d3,1d5-1e4,1e6,1e8,1ec-1ee,1f0,1f6-1f9,21c-21e,220-236,238-258,25a-291,293-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e0b,1e0e-1e23,1e26-1e43,1e46-1e59,1e5c-1e61,1e64-1e6b,1e6e-1e7f,1e86-1e91,1e94-1e9f,1ef4-1ef7,1efa-1eff,20a0,20a2,20a5,20a7-20a8,20aa-20ab,20ad,20af-20b3,20b5-20b7,20bb-20bc,20be-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "cyrillic",
        "ranges": "U+0301,U+0400-045F,U+0490-0491,U+04B0-04B1,U+2116",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "cyrillic-ext",
        "ranges": "U+0460-052F,U+1C80-1C8A,U+20B4,U+2DE0-2DFF,U+A640-A69F,U+FE2E-FE2F",
        "uprightHoles": "460-461,464-469,46c-471,476-489,490-491,4a6-4a7,4b0-4b1,500-50f,514-519,51e-523,52a-52d,1c80-1c8a,2de0-2dff,a640-a69f,fe2e-fe2f",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Dancing Script",
    "slug": "dancing-script",
    "category": "hand",
    "weights": [
      400,
      700
    ],
    "italic": false,
    "subsets": [
      {
        "name": "latin",
        "ranges": "U+0000-00FF,U+0131,U+0152-0153,U+02BB-02BC,U+02C6,U+02DA,U+02DC,U+0304,U+0308,U+0329,U+2000-206F,U+20AC,U+2122,U+2191,U+2193,U+2212,U+2215,U+FEFF,U+FFFD",
        "uprightHoles": "1-c,e-1f,7f-9f,2bb,329,2000-2012,2015-2017,201b,201f-2021,2023-2025,2027-2038,203b-2043,2045-206f,2191,2193,feff,fffd",
        "italicHoles": ""
      },
      {
        "name": "latin-ext",
        "ranges": "U+0100-02BA,U+02BD-02C5,U+02C7-02CC,U+02CE-02D7,U+02DD-02FF,U+0304,U+0308,U+0329,U+1D00-1DBF,U+1E00-1E9F,U+1EF2-1EFF,U+2020,U+20A0-20AB,U+20AD-20C0,U+2113,U+2C60-2C7F,U+A720-A7FF",
        "uprightHoles": "131,152-153,17f-18e,190-191,193-19f,1a2-1ae,1b1-1c3,1cd-1e5,1e8-1e9,1ec-1f9,21c-229,22e-22f,234-236,238-258,25a-2ba,2bd-2c5,2c8,2ca-2cc,2ce-2d7,2de-2ff,329,1d00-1dbf,1e00-1e7f,1e86-1e9d,1e9f,1efa-1eff,20a0,20a2,20a5,20a8,20aa,20ae-20b0,20b3-20b4,20b6-20b8,20bb,20be-20c0,2113,2c60-2c7f,a720-a7ff",
        "italicHoles": ""
      },
      {
        "name": "vietnamese",
        "ranges": "U+0102-0103,U+0110-0111,U+0128-0129,U+0168-0169,U+01A0-01A1,U+01AF-01B0,U+0300-0301,U+0303-0304,U+0308-0309,U+0323,U+0329,U+1EA0-1EF9,U+20AB",
        "uprightHoles": "329",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Lattice Symbols",
    "slug": "lattice-symbols",
    "category": "symbols",
    "weights": [
      1,
      1000
    ],
    "italic": false,
    "shipped": true,
    "subsets": [
      {
        "name": "signs",
        "ranges": "U+02B0-02FF,U+2000-206F,U+2070-209F,U+20A0-20CF,U+2100-218F,U+2E00-2E2F,U+FFFD",
        "uprightHoles": "2ea-2eb,2ef-2f2,2f4-2f6,2f8-2ff,2065-2069,2072-2073,208f,209d-209f,20b6-20b7,20bb-20bc,20be-20cf,210a,214a,214c-214d,214f,2186-2188,218a-218f,2e00-2e17,2e19-2e1e,2e20-2e21,2e26-2e2d,2e2f",
        "italicHoles": ""
      },
      {
        "name": "arrows",
        "ranges": "U+2190-21FF,U+27F0-27FF,U+2900-297F,U+2B00-2B5A",
        "uprightHoles": "2900-2905,2908-2909,290c-293f,2942-297f,2b1b-2b1e,2b25-2b52,2b55-2b5a",
        "italicHoles": ""
      },
      {
        "name": "maths",
        "ranges": "U+2200-22FF,U+27C0-27EF,U+2980-2AFF",
        "uprightHoles": "27c0-27c4,27c7-27df,27e1-27e5,27ec-27ef,2980-2982,2985-29cd,29d6-29ea,29ec-29f9,29fc-29ff,2a03-2a0b,2a1d-2a2e,2a30-2a69,2a6c-2a7c,2aa1-2aad,2abb-2af8,2afb-2aff",
        "italicHoles": ""
      },
      {
        "name": "shapes",
        "ranges": "U+2300-23FF,U+2460-24FF,U+2500-25FF",
        "uprightHoles": "2312-2317,231a-231b,2322-2323,2329-232a,232d-2372,2376-2379,237b-237c,237e-2386,2388-2393,2395-239a,23af-23cd,23d0-23e2,23e4,23e6-23e7,23e9-23ff,246a-24ff",
        "italicHoles": ""
      },
      {
        "name": "dingbats",
        "ranges": "U+2600-27BF",
        "uprightHoles": "269d,26b9-26bf,26c4-26e1,26e3-2700,2705,270a-270b,2728,274c,274e,2753-2755,2757,275f-2760,2795-2797,27b0,27bf",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Noto Emoji",
    "slug": "noto-emoji",
    "category": "symbols",
    "weights": [
      300,
      700
    ],
    "italic": false,
    "subsets": [
      {
        "name": "0",
        "ranges": "U+1f1e6-1f1ff",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "1",
        "ranges": "U+200d,U+2620,U+26a7,U+fe0f,U+1f308,U+1f38c,U+1f3c1,U+1f3f3-1f3f4,U+1f6a9,U+e0062-e0063,U+e0065,U+e0067,U+e006c,U+e006e,U+e0073-e0074,U+e0077,U+e007f",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "2",
        "ranges": "U+23,U+2a,U+30-39,U+a9,U+ae,U+200d,U+203c,U+2049,U+20e3,U+2122,U+2139,U+2194-2199,U+21a9-21aa,U+23cf,U+23e9-23ef,U+23f8-23fa,U+24c2,U+25aa-25ab,U+25b6,U+25c0,U+25fb-25fe,U+2611,U+2622-2623,U+2626,U+262a,U+262e-262f,U+2638,U+2640,U+2642,U+2648-2653,U+2660,U+2663,U+2665-2666,U+2668,U+267b,U+267e-267f,U+2695,U+269b-269c,U+26a0,U+26a7,U+26aa-26ab,U+26ce,U+26d4,U+2705,U+2714,U+2716,U+271d,U+2721,U+2733-2734,U+2747,U+274c,U+274e,U+2753-2755,U+2757,U+2764,U+2795-2797,U+27a1,U+27b0,U+27bf,U+2934-2935,U+2b05-2b07,U+2b1b-2b1c,U+2b55,U+3030,U+303d,U+3297,U+3299,U+fe0f,U+1f170-1f171,U+1f17e-1f17f,U+1f18e,U+1f191-1f19a,U+1f201-1f202,U+1f21a,U+1f22f,U+1f232-1f23a,U+1f250-1f251,U+1f310,U+1f3a6,U+1f3b5-1f3b6,U+1f3bc,U+1f3e7,U+1f441,U+1f499-1f49c,U+1f49f-1f4a0,U+1f4ac-1f4ad,U+1f4b1-1f4b2,U+1f4b9,U+1f4db,U+1f4f2-1f4f6,U+1f500-1f507,U+1f515,U+1f518-1f524,U+1f52f-1f53d,U+1f549,U+1f54e,U+1f5a4,U+1f5e8,U+1f5ef,U+1f6ab,U+1f6ad-1f6b1,U+1f6b3,U+1f6b7-1f6bc,U+1f6be,U+1f6c2-1f6c5,U+1f6d0-1f6d1,U+1f6d7,U+1f6dc,U+1f7e0-1f7eb,U+1f7f0,U+1f90d-1f90e,U+1f9d1-1f9d2,U+1f9e1,U+1fa75-1fa77,U+1faaf",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "3",
        "ranges": "U+200d,U+231a-231b,U+2328,U+23f0-23f3,U+2602,U+260e,U+2692,U+2694,U+2696-2697,U+2699,U+26b0-26b1,U+26cf,U+26d1,U+26d3,U+2702,U+2709,U+270f,U+2712,U+fe0f,U+1f302,U+1f321,U+1f392-1f393,U+1f3a9,U+1f3bd,U+1f3ee,U+1f3f7,U+1f3fa,U+1f451-1f462,U+1f484,U+1f489-1f48a,U+1f48c-1f48e,U+1f4a1,U+1f4a3,U+1f4a5,U+1f4b0,U+1f4b3-1f4b8,U+1f4bb-1f4da,U+1f4dc-1f4f1,U+1f4ff,U+1f508-1f514,U+1f516-1f517,U+1f526-1f529,U+1f52c-1f52e,U+1f550-1f567,U+1f56f-1f570,U+1f576,U+1f587,U+1f58a-1f58d,U+1f5a5,U+1f5a8,U+1f5b1-1f5b2,U+1f5c2-1f5c4,U+1f5d1-1f5d3,U+1f5dc-1f5de,U+1f5e1,U+1f5f3,U+1f6aa,U+1f6ac,U+1f6bd,U+1f6bf,U+1f6c1,U+1f6cb,U+1f6cd-1f6cf,U+1f6d2,U+1f6e0-1f6e1,U+1f6f0,U+1f97b-1f97f,U+1f9af,U+1f9ba,U+1f9e2-1f9e6,U+1f9ea-1f9ec,U+1f9ee-1f9f4,U+1f9f7-1f9ff,U+1fa71-1fa74,U+1fa79-1fa7b,U+1fa86,U+1fa8e-1fa8f,U+1fa91-1fa93,U+1fa96,U+1fa99-1faa0,U+1faa2-1faa7,U+1faaa-1faae",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "4",
        "ranges": "U+265f,U+26bd-26be,U+26f3,U+26f8,U+fe0f,U+1f004,U+1f0cf,U+1f380-1f384,U+1f386-1f38b,U+1f38d-1f391,U+1f396-1f397,U+1f399-1f39b,U+1f39e-1f39f,U+1f3a3-1f3a5,U+1f3a7-1f3a9,U+1f3ab-1f3b4,U+1f3b7-1f3bb,U+1f3bd-1f3c0,U+1f3c5-1f3c6,U+1f3c8-1f3c9,U+1f3cf-1f3d3,U+1f3f8-1f3f9,U+1f47e,U+1f4e2,U+1f4f7-1f4fd,U+1f52b,U+1f579,U+1f58c-1f58d,U+1f5bc,U+1f6f7,U+1f6f9,U+1f6fc,U+1f93f,U+1f941,U+1f945,U+1f947-1f94f,U+1f9e7-1f9e9,U+1f9f5-1f9f6,U+1fa70-1fa71,U+1fa80-1fa81,U+1fa83-1fa85,U+1fa87-1fa8a,U+1fa94-1fa95,U+1fa97-1fa98,U+1faa1,U+1faa9,U+1fadf",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "5",
        "ranges": "U+2693,U+26e9-26ea,U+26f1-26f2,U+26f4-26f5,U+26fa,U+26fd,U+2708,U+fe0f,U+1f301,U+1f303,U+1f306-1f307,U+1f309,U+1f310,U+1f3a0-1f3a2,U+1f3aa,U+1f3cd-1f3ce,U+1f3d5,U+1f3d7-1f3db,U+1f3df-1f3e6,U+1f3e8-1f3ed,U+1f3ef-1f3f0,U+1f488,U+1f492,U+1f4ba,U+1f54b-1f54d,U+1f5fa-1f5ff,U+1f680-1f6a2,U+1f6a4-1f6a8,U+1f6b2,U+1f6d1,U+1f6d5-1f6d6,U+1f6dd-1f6df,U+1f6e2-1f6e5,U+1f6e9,U+1f6eb-1f6ec,U+1f6f3-1f6f6,U+1f6f8,U+1f6fa-1f6fb,U+1f9bc-1f9bd,U+1f9ed,U+1f9f3,U+1fa7c",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "6",
        "ranges": "U+200d,U+2615,U+fe0f,U+1f32d-1f330,U+1f336,U+1f33d,U+1f344-1f37f,U+1f382,U+1f52a,U+1f7e9,U+1f7eb,U+1f942-1f944,U+1f950-1f96f,U+1f99e,U+1f9aa,U+1f9c0-1f9cb,U+1fad0-1fadc",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "7",
        "ranges": "U+200d,U+2600-2601,U+2603-2604,U+2614,U+2618,U+26a1,U+26c4-26c5,U+26c8,U+26f0,U+2728,U+2744,U+2b1b,U+2b50,U+fe0f,U+1f300,U+1f304-1f305,U+1f308,U+1f30a-1f30f,U+1f311-1f321,U+1f324-1f32c,U+1f331-1f335,U+1f337-1f33c,U+1f33e-1f344,U+1f3d4,U+1f3d6,U+1f3dc-1f3de,U+1f3f5,U+1f400-1f43f,U+1f490,U+1f4a7,U+1f4ae,U+1f525,U+1f54a,U+1f573,U+1f577-1f578,U+1f648-1f64a,U+1f6d8,U+1f940,U+1f980-1f9ae,U+1f9ba,U+1fa90,U+1faa8,U+1fab0-1fabf,U+1facd-1facf,U+1fae7",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "8",
        "ranges": "U+200d,U+2640,U+2642,U+2695-2696,U+26f7,U+26f9,U+2708,U+2764,U+27a1,U+fe0f,U+1f33e,U+1f373,U+1f37c,U+1f384-1f385,U+1f393,U+1f3a4,U+1f3a8,U+1f3c2-1f3c4,U+1f3c7,U+1f3ca-1f3cc,U+1f3eb,U+1f3ed,U+1f3fb-1f3ff,U+1f430,U+1f466-1f469,U+1f46b-1f478,U+1f47c,U+1f481-1f483,U+1f486-1f487,U+1f48b,U+1f48f,U+1f491,U+1f4bb-1f4bc,U+1f527,U+1f52c,U+1f574-1f575,U+1f57a,U+1f645-1f647,U+1f64b,U+1f64d-1f64e,U+1f680,U+1f692,U+1f6a3,U+1f6b4-1f6b6,U+1f6c0,U+1f6cc,U+1f91d,U+1f926,U+1f930-1f931,U+1f934-1f93a,U+1f93c-1f93e,U+1f977,U+1f9af-1f9b3,U+1f9b8-1f9b9,U+1f9bc-1f9bd,U+1f9cc-1f9cf,U+1f9d1-1f9df,U+1fa70,U+1fa82,U+1fac3-1fac5,U+1fac8,U+1faef",
        "uprightHoles": "",
        "italicHoles": ""
      },
      {
        "name": "9",
        "ranges": "U+200d,U+2194-2195,U+2603,U+261d,U+2620,U+2639-263a,U+2665,U+26a1,U+26c4,U+270a-270d,U+2728,U+2763-2764,U+2b50,U+fe0f,U+1f31a-1f31f,U+1f32b,U+1f389-1f38a,U+1f3fb-1f3ff,U+1f440-1f450,U+1f463-1f465,U+1f479-1f47b,U+1f47d-1f480,U+1f485,U+1f48b-1f48c,U+1f493-1f49f,U+1f4a2,U+1f4a4-1f4a6,U+1f4a8-1f4ab,U+1f4af,U+1f525,U+1f573,U+1f590,U+1f595-1f596,U+1f5a4,U+1f5e3,U+1f600-1f644,U+1f648-1f64a,U+1f64c,U+1f64f,U+1f90c-1f925,U+1f927-1f92f,U+1f932-1f933,U+1f970-1f976,U+1f978-1f97a,U+1f9a0,U+1f9b4-1f9b7,U+1f9bb,U+1f9be-1f9bf,U+1f9d0,U+1f9e0-1f9e1,U+1fa75-1fa79,U+1fac0-1fac2,U+1fac6,U+1fae0-1fae6,U+1fae8-1faea,U+1faef-1faf8",
        "uprightHoles": "",
        "italicHoles": ""
      }
    ]
  },
  {
    "family": "Lattice Scripts",
    "slug": "lattice-scripts",
    "category": "symbols",
    "weights": [
      100,
      900
    ],
    "italic": false,
    "subsets": [
      {
        "name": "hebrew",
        "slug": "noto-sans-hebrew",
        "ranges": "U+0307-0308,U+0590-05FF,U+200C-2010,U+20AA,U+25CC,U+FB1D-FB4F",
        "uprightHoles": "590,5c8-5cf,5eb-5ee,5f5-5ff,fb37,fb3d,fb3f,fb42,fb45",
        "italicHoles": ""
      },
      {
        "name": "arabic",
        "slug": "noto-sans-arabic",
        "ranges": "U+0600-06FF,U+0750-077F,U+0870-088E,U+0890-0891,U+0897-08E1,U+08E3-08FF,U+200C-200E,U+2010-2011,U+204F,U+2E41,U+FB50-FDFF,U+FE70-FE74,U+FE76-FEFC,U+102E0-102FB,U+10E60-10E7E,U+10EC2-10EC4,U+10EFC-10EFF,U+1EE00-1EE03,U+1EE05-1EE1F,U+1EE21-1EE22,U+1EE24,U+1EE27,U+1EE29-1EE32,U+1EE34-1EE37,U+1EE39,U+1EE3B,U+1EE42,U+1EE47,U+1EE49,U+1EE4B,U+1EE4D-1EE4F,U+1EE51-1EE52,U+1EE54,U+1EE57,U+1EE59,U+1EE5B,U+1EE5D,U+1EE5F,U+1EE61-1EE62,U+1EE64,U+1EE67-1EE6A,U+1EE6C-1EE72,U+1EE74-1EE77,U+1EE79-1EE7C,U+1EE7E,U+1EE80-1EE89,U+1EE8B-1EE9B,U+1EEA1-1EEA3,U+1EEA5-1EEA9,U+1EEAB-1EEBB,U+1EEF0-1EEF1",
        "uprightHoles": "897,fbc3-fbd2,fd90-fd91,fdc8-fdce,fdd0-fdef,102e0-102fb,10e60-10e7e,10ec2-10ec4,10efc,1ee00-1ee03,1ee05-1ee1f,1ee21-1ee22,1ee24,1ee27,1ee29-1ee32,1ee34-1ee37,1ee39,1ee3b,1ee42,1ee47,1ee49,1ee4b,1ee4d-1ee4f,1ee51-1ee52,1ee54,1ee57,1ee59,1ee5b,1ee5d,1ee5f,1ee61-1ee62,1ee64,1ee67-1ee6a,1ee6c-1ee72,1ee74-1ee77,1ee79-1ee7c,1ee7e,1ee80-1ee89,1ee8b-1ee9b,1eea1-1eea3,1eea5-1eea9,1eeab-1eebb,1eef0-1eef1",
        "italicHoles": ""
      }
    ]
  }
]
