/** How readily heat passes from a pane to the air outdoors, W/m²K: in calm air, more for each m/s of wind. */
export const CALM_WM2K = 8;
export const PER_WIND_WM2K = 4;
