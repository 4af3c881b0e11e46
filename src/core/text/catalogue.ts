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
  }
]
