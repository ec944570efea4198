"""Reference values for core/src/glazing and core/src/climate from independent Python libraries, and the standard weighting tables.
Run: python3 -m pip install numpy pvlib pywincalc colour-science tmm && python3 scripts/reference/glazing.py
It writes core/src/glazing/fixtures/reference.ts, core/src/climate/fixtures/reference.ts and core/src/glazing/spectral-weights.ts.
The tests need only what it wrote."""
import json
import warnings
import numpy as np
import pandas as pd

warnings.filterwarnings("ignore")
import colour
import pvlib
import pywincalc
from tmm import inc_tmm

CORE = "core/src"


def heading(says, source):
    return f"/** {says} Made by scripts/reference/glazing.py; not to be edited.\n *  @source {source} */\n"


def weights():
    """Light: D65 times the standard observer, 10 nm. Sun: global AM1.5 energy in bins of 10 nm up to 800, then 50 nm."""
    y = colour.MSDS_CMFS["CIE 1931 2 Degree Standard Observer"]
    d65 = colour.SDS_ILLUMINANTS["D65"]
    nm = list(range(380, 781, 10))
    light = np.array([d65[w] * y[w][1] for w in nm])
    spectrum = pvlib.spectrum.get_reference_spectra(standard="ASTM G173-03")["global"]
    edges = list(range(300, 800, 10)) + list(range(800, 2501, 50))
    wl = spectrum.index.values.astype(float)
    val = spectrum.values
    fine = np.arange(300, 2500.01, 0.5)
    fv = np.interp(fine, wl, val)
    sun = []
    for a, b in zip(edges[:-1], edges[1:]):
        inside = (fine >= a) & (fine <= b)
        sun.append([a, b, float(np.trapezoid(fv[inside], fine[inside]))])
    total = sum(s[2] for s in sun)
    text = heading("Share of daylight as the eye weighs it, by wavelength: nm, share.", "CIE D65 times the 1931 standard observer, as tabulated in colour-science 0.4.7")
    text += "export const LIGHT_WEIGHTS: readonly (readonly [nm: number, share: number])[] = " + json.dumps([[w, round(float(v / light.sum()), 6)] for w, v in zip(nm, light)]) + ";\n\n"
    text += heading("Share of the sun's energy 300 to 2500 nm, by bin: from nm, to nm, share.", "ASTM G173-03 global, as tabulated in pvlib 0.16.1")
    text += "export const SUN_WEIGHTS: readonly (readonly [from_nm: number, to_nm: number, share: number])[] = " + json.dumps([[a, b, round(v / total, 6)] for a, b, v in sun]) + ";\n"
    open(f"{CORE}/glazing/spectral-weights.ts", "w").write(text)
    share = lambda lo, hi: sum(v for a, b, v in sun if a >= lo and b <= hi) / total
    print("bands", share(300, 380), share(380, 780), sum(v for a, b, v in sun if a >= 780) / total)


STANDARD = pywincalc.load_standard(str(pywincalc.standard_path / "NFRC_300_2003.std"))


def layer(bands, thickness, ef=0.84, eb=0.84, k=1.0):
    """A pane whose T, Rf, Rb are constant within each of three bands."""
    data = []
    for w in list(np.arange(0.3, 2.5001, 0.005)):
        b = bands[0] if w < 0.38 else bands[1] if w < 0.78 else bands[2]
        data.append(pywincalc.WavelengthData(round(float(w), 4), pywincalc.OpticalMeasurementComponent(b[0], b[0], b[1], b[2])))
    optical = pywincalc.ProductDataOpticalNBand(material_type=pywincalc.MaterialType.MONOLITHIC, thickness_meters=thickness, wavelength_data=data, ir_transmittance_front=0, ir_transmittance_back=0, emissivity_front=ef, emissivity_back=eb, coated_side=pywincalc.CoatedSide.NEITHER)
    return pywincalc.ProductDataOpticalAndThermal(optical, pywincalc.ProductDataThermal(k, thickness))


def band_shares():
    """How that standard's sun divides over the three bands: what a pane lets through that is open in one band alone."""
    out = []
    for band in range(3):
        bands = [(0.9, 0.0, 0.0) if b == band else (0.0, 0.0, 0.0) for b in range(3)]
        system = pywincalc.GlazingSystem(optical_standard=STANDARD, solid_layers=[layer(bands, 0.006)], environment=pywincalc.nfrc_shgc_environments(), width_meters=1, height_meters=1)
        out.append(system.optical_method_results("SOLAR").system_results.front.transmittance.direct_direct / 0.9)
    return out


def stacks():
    clear = [(0.62, 0.06, 0.06), (0.881, 0.08, 0.08), (0.65, 0.06, 0.06)]
    grey = [(0.25, 0.046, 0.046), (0.431, 0.052, 0.052), (0.48, 0.055, 0.055)]
    film = [(0.02, 0.07, 0.07), (0.4, 0.2, 0.15), (0.15, 0.5, 0.6)]
    select = [(0.01, 0.07, 0.07), (0.68, 0.1, 0.1), (0.12, 0.45, 0.5)]
    lowe = [(0.3, 0.12, 0.1), (0.84, 0.05, 0.06), (0.3, 0.5, 0.4)]
    cases = [
        ("single 6 clear", [(clear, 0.006, 0.84, 0.84)], []),
        ("single 6 with film inside", [(film, 0.006, 0.84, 0.84)], []),
        ("single 6 with low-e film inside", [(film, 0.006, 0.84, 0.1)], []),
        ("single 6 grey", [(grey, 0.006, 0.84, 0.84)], []),
        ("double clear 16 air", [(clear, 0.006, 0.84, 0.84), (clear, 0.006, 0.84, 0.84)], [(0.016, 0)]),
        ("double film on 4", [(clear, 0.006, 0.84, 0.84), (film, 0.006, 0.84, 0.84)], [(0.016, 0)]),
        ("double film on 1", [(film, 0.006, 0.84, 0.84), (clear, 0.006, 0.84, 0.84)], [(0.016, 0)]),
        ("double low-e on 3, argon", [(clear, 0.004, 0.84, 0.84), (lowe, 0.004, 0.04, 0.84)], [(0.016, 0.9)]),
        ("double low-e on 3, argon, selective behind low-e", [(lowe, 0.004, 0.84, 0.04), (select, 0.004, 0.84, 0.84)], [(0.016, 0.9)]),
        ("triple low-e on 2 and 5", [(lowe, 0.004, 0.84, 0.04), (clear, 0.004, 0.84, 0.84), (lowe, 0.004, 0.04, 0.84)], [(0.012, 0.9), (0.012, 0.9)]),
    ]
    out = []
    for name, panes, gaps in cases:
        layers = [layer(b, d, ef, eb) for b, d, ef, eb in panes]
        gl = [pywincalc.Layers.gap(thickness=w) if argon == 0 else pywincalc.Layers.gap(gas=pywincalc.create_gas([[argon, pywincalc.PredefinedGasType.ARGON], [1 - argon, pywincalc.PredefinedGasType.AIR]]), thickness=w) for w, argon in gaps]
        u_sys = pywincalc.GlazingSystem(optical_standard=STANDARD, solid_layers=layers, gap_layers=gl, environment=pywincalc.nfrc_u_environments(), width_meters=1, height_meters=1)
        s_sys = pywincalc.GlazingSystem(optical_standard=STANDARD, solid_layers=layers, gap_layers=gl, environment=pywincalc.nfrc_shgc_environments(), width_meters=1, height_meters=1)
        solar = s_sys.optical_method_results("SOLAR")
        light = s_sys.optical_method_results("PHOTOPIC")
        side = solar.system_results.front
        out.append({
            "name": name, "panes": [{"bands": b, "d": d, "ef": ef, "eb": eb} for b, d, ef, eb in panes], "gaps": [{"d": w, "argon": a} for w, a in gaps],
            "solar": side.transmittance.direct_direct, "reflected": side.reflectance.direct_direct,
            "light": light.system_results.front.transmittance.direct_direct,
            "absorbed": [r.front.absorptance.direct for r in solar.layer_results],
            "u": u_sys.u(), "shgc": s_sys.shgc(),
        })
    return out


def angles():
    """A bare 6 mm pane at angles: incoherent multi-layer method, both polarisations."""
    out = []
    n, d_nm, lam = 1.52, 6e6, 555.0
    k = 2.5e-7 * 2
    for deg in (0, 30, 45, 60, 75, 85):
        t = r = 0
        for pol in "sp":
            res = inc_tmm(pol, [1, n + 1j * k, 1], [np.inf, d_nm, np.inf], ["i", "i", "i"], np.radians(deg), lam)
            t += res["T"] / 2
            r += res["R"] / 2
        out.append({"deg": deg, "t": float(t), "r": float(r)})
    return out


def suns():
    """Sun positions by NREL's SPA (pvlib), unrefracted, over the globe and the years."""
    rng = np.random.default_rng(20261124)
    out = []
    for _ in range(60):
        lat, lon = float(rng.uniform(-65, 68)), float(rng.uniform(-180, 180))
        t = pd.Timestamp("1970-01-01", tz="UTC") + pd.Timedelta(seconds=int(rng.uniform(0, 80 * 365.25 * 86400)))
        p = pvlib.solarposition.spa_python(pd.DatetimeIndex([t]), lat, lon, altitude=0, pressure=101325, temperature=10, delta_t=None)
        out.append({"utc": t.strftime("%Y-%m-%dT%H:%M:%SZ"), "lat": round(lat, 6), "lon": round(lon, 6), "altitude": float(p["elevation"].iloc[0]), "azimuth": float(p["azimuth"].iloc[0])})
    return out


def skies():
    """Angle of incidence on any plane, from pvlib."""
    out = []
    rng = np.random.default_rng(7)
    for _ in range(20):
        tilt, facing, zen, az = (float(v) for v in (rng.uniform(0, 120), rng.uniform(0, 360), rng.uniform(5, 88), rng.uniform(0, 360)))
        out.append({"tilt": tilt, "facing": facing, "altitude": 90 - zen, "azimuth": az, "cosine": float(pvlib.irradiance.aoi_projection(tilt, facing, zen, az))})
    return out


weights()
glass = heading("Whole glazings by an independent library: three bands of constant optics.", "pywincalc 3.3.1 with its NFRC 300-2003 spectra and environments")
glass += "export const BAND_SHARES = " + json.dumps(band_shares()) + " as const;\n\n"
glass += "export const STACKS = " + json.dumps(stacks()) + " as const;\n\n"
glass += heading("A bare pane at angles, incoherent.", "tmm 0.2.0") + "export const ANGLES = " + json.dumps(angles()) + " as const;\n"
open(f"{CORE}/glazing/fixtures/reference.ts", "w").write(glass)
sun = heading("Positions of the sun.", "pvlib 0.16.1, spa_python (NREL/TP-560-34302)") + "export const SUNS = " + json.dumps(suns()) + " as const;\n\n"
sun += heading("Cosine of the angle of incidence.", "pvlib 0.16.1, aoi_projection") + "export const INCIDENCES = " + json.dumps(skies()) + " as const;\n"
open(f"{CORE}/climate/fixtures/reference.ts", "w").write(sun)
