"""Reference values for core/src/measure from independent Python libraries.
Run: python3 -m pip install numpy scipy shapely && python3 scripts/reference/measure.py > core/src/measure/fixtures/reference.ts
The tests need only what it printed."""
import json
import math
import numpy as np
from scipy.optimize import least_squares
from shapely.geometry import Polygon

rng = np.random.default_rng(20261124)


def network():
    """A five-cornered figure, all ten lengths with noise: adjusted by scipy, statistics by the textbook matrices."""
    true = np.array([[0, 0], [1800, 0], [2100, 900], [1200, 1700], [-150, 1100]], float)
    pairs = [(i, j) for i in range(5) for j in range(i + 1, 5)]
    sds = np.array([1 + 0.0001 * np.linalg.norm(true[i] - true[j]) for i, j in pairs])
    values = np.array([np.linalg.norm(true[i] - true[j]) for i, j in pairs]) + rng.normal(0, 1, 10) * sds
    values = np.round(values, 1)

    def corners(free):
        return np.array([[0, 0], [free[0], 0], [free[1], free[2]], [free[3], free[4]], [free[5], free[6]]])

    def residuals(free):
        at = corners(free)
        return np.array([(np.linalg.norm(at[i] - at[j]) - value) / sd for (i, j), value, sd in zip(pairs, values, sds)])

    start = [1750, 2000, 950, 1250, 1650, -100, 1000]
    solved = least_squares(residuals, start, xtol=1e-15, ftol=1e-15, gtol=1e-15, method="lm")
    jac = np.zeros((10, 7))
    for k in range(7):
        step = np.zeros(7)
        step[k] = 1e-4
        jac[:, k] = (residuals(solved.x + step) - residuals(solved.x - step)) / 2e-4
    cov = np.linalg.inv(jac.T @ jac)
    seen = np.eye(10) - jac @ cov @ jac.T
    return {
        "pairs": pairs, "values": values.tolist(), "sds": sds.tolist(), "start": corners(start).tolist(), "corners": corners(solved.x).tolist(),
        "covariance": cov.tolist(), "residuals": (residuals(solved.x) * sds).tolist(), "redundancy": np.diag(seen).tolist(),
        "standardised": (residuals(solved.x) / np.sqrt(np.diag(seen))).tolist(), "weightedSquares": float(2 * solved.cost),
    }


def polygons():
    """Area, perimeter and least rectangle of star-shaped polygons, corners clockwise with y downwards."""
    out = []
    for count in [3, 4, 5, 6, 8, 12]:
        angles = np.sort(rng.uniform(0, 2 * math.pi, count))
        radii = rng.uniform(300, 1500, count)
        corners = [[round(float(2000 + r * math.cos(a)), 3), round(float(2000 + r * math.sin(a)), 3)] for a, r in zip(angles, radii)]
        shape = Polygon(corners)
        rectangle = shape.minimum_rotated_rectangle
        out.append({"corners": corners, "area": shape.area, "perimeter": shape.length, "leastAround": rectangle.area, "valid": shape.is_valid})
    return [p for p in out if p["valid"]]


print("/** Made by scripts/reference/measure.py with scipy and shapely. Do not edit. */")
print("export const NETWORK_REFERENCE = " + json.dumps(network()) + " as const;")
print("export const POLYGON_REFERENCE = " + json.dumps(polygons()) + " as const;")
