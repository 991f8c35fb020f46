"""Writes the DXF files of store/src/test/resources/drawings/gdal by GDAL 3.12 (pyogrio 0.13), what is in them by shapely 2.

    python3 -m venv /tmp/v && /tmp/v/bin/pip install pyogrio geopandas shapely && /tmp/v/bin/python build-tools/drawings/make_gdal.py

GDAL writes lines as polylines, polygons as hatches, points as points, and says that all is in inches: so it is. What is
in the files is told in millimetres.
"""
import math, os, random
import geopandas as gp
from shapely.affinity import affine_transform, rotate, scale, translate
from shapely.geometry import LineString, MultiLineString, Point, Polygon
from shapely.ops import unary_union

OUT = os.path.join(os.path.dirname(__file__), "../../store/src/test/resources/drawings/gdal")
os.makedirs(OUT, exist_ok=True)
rows = ["file,sheets,holes,left"]

PLATE = Polygon([(0, 0), (60, 0), (60, 40), (12, 40), (0, 30)])


def case(name, things, sheets, holes="", left=0):
    """things: (layer, geometry); sheets: polygons as they should come in."""
    file = os.path.join(OUT, name + ".dxf")
    if os.path.exists(file):
        os.remove(file)
    gp.GeoDataFrame({"Layer": [l for l, _ in things]}, geometry=[scale(g, 1 / 25.4, 1 / 25.4, origin=(0, 0)) for _, g in things]).to_file(file, driver="DXF", engine="pyogrio")
    told = ";".join("%.4f %.4f %.4f" % (p.area, p.centroid.x, p.centroid.y) for p in sorted(sheets, key=lambda p: -p.area))
    rows.append("%s,%s,%s,%d" % (name, told, holes, left))


def lines(p):
    return [LineString(r.coords) for r in [p.exterior, *p.interiors]]


def ring(x, y, r, n):
    return LineString([(x + r * math.cos(2 * math.pi * i / n), y + r * math.sin(2 * math.pi * i / n)) for i in range(n)] + [(x + r, y)])


case("plate", [("S", l) for l in lines(PLATE)], [PLATE])
case("mirrored", [("S", l) for l in lines(scale(PLATE, -1, 1, origin=(0, 0)))], [scale(PLATE, -1, 1, origin=(0, 0))])
turned = rotate(translate(PLATE, 7, 9), 33, origin=(0, 0))
case("turned", [("S", l) for l in lines(turned)], [turned])
sheared = affine_transform(PLATE, [1, .3, .1, 1.2, 5, 6])
case("sheared", [("S", l) for l in lines(sheared)], [sheared])
edges = list(zip(PLATE.exterior.coords, PLATE.exterior.coords[1:]))
random.seed(4)
random.shuffle(edges)
case("edges", [("S", LineString(e if random.random() < .5 else e[::-1])) for e in edges], [PLATE])
case("edges-of-many", [("S", MultiLineString([list(e) for e in edges]))], [PLATE])
window = PLATE.difference(Polygon([(20, 10), (40, 10), (40, 25), (20, 25)]))
case("window", [("S", l) for l in lines(window)], [PLATE])
island = Polygon([(25, 14), (35, 14), (35, 20), (25, 20)])
case("island", [("S", l) for l in lines(window) + lines(island)], [PLATE, island])
two = [PLATE, translate(scale(PLATE, .5, .5, origin=(0, 0)), 100, 0)]
case("two", [("S", l) for p in two for l in lines(p)], two)
case("rounds", [("S", lines(PLATE)[0])] + [("H", ring(10 + 15 * i, 8, 1.25, 24 + 12 * i)) for i in range(3)], [PLATE], "2.5 3")
case("points", [("S", lines(PLATE)[0])] + [("P", Point(10 + 15 * i, 8)) for i in range(3)], [PLATE])
case("hatched", [("S", lines(PLATE)[0]), ("S", PLATE)], [PLATE], "", 1)
case("open", [("S", lines(PLATE)[0]), ("S", LineString([(5, 5), (9, 9), (14, 5)]))], [PLATE], "", 1)
blob = unary_union([Point(0, 0).buffer(20, 64), Point(25, 5).buffer(12, 64)])
case("blob", [("S", l) for l in lines(blob)], [blob])
case("twice", [("S", lines(PLATE)[0]), ("S", LineString(list(PLATE.exterior.coords)[::-1]))], [PLATE], "", 1)
open(os.path.join(OUT, "expected.csv"), "w").write("\n".join(rows) + "\n")
