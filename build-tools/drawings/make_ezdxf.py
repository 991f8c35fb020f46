"""Writes the DXF files of store/src/test/resources/drawings/ezdxf and what is in them, by ezdxf 1.4 and shapely 2.

    python3 -m venv /tmp/v && /tmp/v/bin/pip install ezdxf shapely && /tmp/v/bin/python build-tools/drawings/make_ezdxf.py

Areas and centres are those of shapely polygons of many points on the curves, in millimetres; holes are by construction.
"""
import math, os
import ezdxf
from ezdxf import disassemble
from ezdxf.math import bulge_to_arc
from shapely.affinity import scale
from shapely.geometry import Polygon

OUT = os.path.join(os.path.dirname(__file__), "../../store/src/test/resources/drawings/ezdxf")
MM = {0: 1, 1: 25.4, 2: 304.8, 4: 1, 5: 10, 6: 1000, 9: 0.0254, 13: 0.001, 14: 100}
rows = []
os.makedirs(OUT, exist_ok=True)


def along(e):
    """Points on the curve of an entity, so near each other that their area is right to a part in ten million."""
    if e.dxftype() == "ELLIPSE":
        n = 20000
        return [(v.x, v.y) for v in e.vertices([2 * math.pi * i / n for i in range(n)])]
    if e.dxftype() == "SPLINE":
        return [(v.x, v.y) for v in e.construction_tool().approximate(20000)]
    points = [(v.dxf.location.x, v.dxf.location.y, v.dxf.get("bulge", 0)) for v in e.vertices] \
        if e.dxftype() == "POLYLINE" else list(e.get_points("xyb"))
    out = []
    for (x, y, b), (x2, y2, _) in zip(points, points[1:] + points[:1]):
        out.append((x, y))
        if b:
            c, a0, a1, r = bulge_to_arc((x, y), (x2, y2), b)
            sweep = (a1 - a0) % (2 * math.pi)
            arc = [(c.x + r * math.cos(a0 + sweep * i / 4000), c.y + r * math.sin(a0 + sweep * i / 4000)) for i in range(1, 4000)]
            out += arc if b > 0 else arc[::-1]
    return [(v.x, v.y) for v in e.ocs().points_to_wcs([(x, y, 0) for x, y in out])]


def polygon(e):
    return Polygon(along(e))


def outline(m, layer="S", **a):
    """A plate whose hand can be told: one corner cut, one round."""
    return m.add_lwpolyline([(0, 0, 0), (60, 0, 0), (60, 25, .41421356), (45, 40, 0), (12, 40, 0), (0, 30, 0)],
                            format="xyb", close=True, dxfattribs={"layer": layer, **a})


def holes(m, layer="H", **a):
    for x in (10, 20, 30):
        m.add_circle((x, 8), 1.25, dxfattribs={"layer": layer, **a})


def case(name, unit=4, version="R2010", fmt="asc"):
    def wrap(draw):
        doc = ezdxf.new(version)
        doc.header["$INSUNITS"] = unit
        m = doc.modelspace()
        expected = draw(doc, m) or {}
        file = os.path.join(OUT, name + ".dxf")
        doc.saveas(file, fmt=fmt)
        k = MM[unit]
        polygons = []
        if "polygons" in expected:
            polygons = expected["polygons"]
        else:
            for e in disassemble.recursive_decompose(m):
                if e.dxf.layer == "S" and e.dxftype() in ("LWPOLYLINE", "POLYLINE", "ELLIPSE", "SPLINE"):
                    polygons.append(polygon(e))
        sheets = ";".join("%.4f %.4f %.4f" % (p.area * k * k, p.centroid.x * k, p.centroid.y * k)
                          for p in sorted(polygons, key=lambda p: -p.area))
        found = expected.get("holes", {2.5: 3})
        rows.append((name, sheets, ";".join("%.4f %d" % (d * k, n) for d, n in sorted(found.items())),
                     str(expected.get("left", 0))))
    return wrap


@case("plain")
def _(doc, m): outline(m); holes(m)

@case("inch", unit=1)
def _(doc, m): outline(m); m.add_circle((10, 8), .049, dxfattribs={"layer": "H"}); return {"holes": {.098: 1}}

@case("centimetre", unit=5)
def _(doc, m): outline(m); m.add_circle((3, 3), .125, dxfattribs={"layer": "H"}); return {"holes": {.25: 1}}

@case("micrometre", unit=13)
def _(doc, m):
    m.add_lwpolyline([(0, 0), (60000, 0), (60000, 40000)], close=True, dxfattribs={"layer": "S"})
    m.add_circle((50000, 8000), 1250, dxfattribs={"layer": "H"}); return {"holes": {2500: 1}}

@case("binary", fmt="bin")
def _(doc, m): outline(m); holes(m)

@case("r12", version="R12")
def _(doc, m):
    m.add_polyline2d([(0, 0, 0), (60, 0, 0), (60, 25, .41421356), (45, 40, 0), (12, 40, 0), (0, 30, 0)], format="xyb",
                     close=True, dxfattribs={"layer": "S"}); holes(m)

@case("binary-r12", version="R12", fmt="bin")
def _(doc, m):
    m.add_polyline2d([(0, 0), (60, 0), (60, 40)], close=True, dxfattribs={"layer": "S"})
    m.add_circle((50, 8), 1.25, dxfattribs={"layer": "H"}); return {"holes": {2.5: 1}}

@case("turned-over")
def _(doc, m): outline(m, extrusion=(0, 0, -1)); holes(m, extrusion=(0, 0, -1))

@case("block-mirrored")
def _(doc, m):
    b = doc.blocks.new("PART"); outline(b); holes(b)
    m.add_blockref("PART", (100, 10), dxfattribs={"xscale": -1})

@case("block-turned-over")
def _(doc, m):
    b = doc.blocks.new("Part"); outline(b); holes(b)
    m.add_blockref("PART", (100, 10), dxfattribs={"extrusion": (0, 0, -1), "rotation": 30})

@case("block-mirrored-and-turned")
def _(doc, m):
    b = doc.blocks.new("PART", base_point=(5, 7)); outline(b); holes(b)
    m.add_blockref("PART", (100, 10), dxfattribs={"yscale": -1, "rotation": 37})

@case("block-array")
def _(doc, m):
    b = doc.blocks.new("TAB"); b.add_circle((3, 3), 1.25, dxfattribs={"layer": "0"})
    m.add_lwpolyline([(0, 0), (200, 0), (200, 100), (0, 90)], close=True, dxfattribs={"layer": "S"})
    m.add_blockref("tab", (10, 10), dxfattribs={"layer": "H", "column_count": 5, "row_count": 3, "column_spacing": 12,
                                                "row_spacing": 9, "rotation": 15})
    return {"holes": {2.5: 15}}

@case("block-nested")
def _(doc, m):
    a = doc.blocks.new("A"); a.add_circle((1, 2), .5, dxfattribs={"layer": "0"})
    b = doc.blocks.new("B"); b.add_blockref("A", (3, 0), dxfattribs={"xscale": 2, "yscale": 2, "rotation": 90})
    m.add_lwpolyline([(0, 0), (90, 0), (90, 50), (0, 45)], close=True, dxfattribs={"layer": "S"})
    m.add_blockref("B", (30, 20), dxfattribs={"layer": "H", "xscale": -1.25, "yscale": 1.25})
    return {"holes": {2.5: 1}}

@case("block-stretched")
def _(doc, m):
    b = doc.blocks.new("PART"); outline(b)
    m.add_blockref("PART", (0, 0), dxfattribs={"xscale": 2, "yscale": 1}); holes(m)
    return {"polygons": [scale(polygon(b.query("LWPOLYLINE")[0]), 2, 1, origin=(0, 0))]}

@case("layer-off-and-frozen")
def _(doc, m):
    outline(m); holes(m)
    doc.layers.add("OFF").off(); doc.layers.add("ICE").freeze()
    m.add_circle((40, 30), 3, dxfattribs={"layer": "OFF"}); m.add_circle((44, 30), 3, dxfattribs={"layer": "ICE"})
    return {"left": 2}

@case("paper-and-hidden")
def _(doc, m):
    outline(m); holes(m)
    doc.paperspace().add_circle((5, 5), 2, dxfattribs={"layer": "H"})
    m.add_circle((40, 30), 3, dxfattribs={"layer": "H", "invisible": 1}); m.add_point((1, 1), dxfattribs={"layer": "Defpoints"})
    return {"left": 3}

@case("dimensioned")
def _(doc, m):
    outline(m); holes(m)
    m.add_linear_dim(base=(0, -10), p1=(0, 0), p2=(60, 0)).render()
    m.add_mtext("PLATE", dxfattribs={"layer": "N", "insert": (3, 3)})
    m.add_hatch(dxfattribs={"layer": "N"}).paths.add_polyline_path([(0, 0), (10, 0), (10, 10)])
    m.add_xline((0, 0), (1, 1), dxfattribs={"layer": "N"})
    return {"left": 4}

@case("ellipse")
def _(doc, m): m.add_ellipse((30, 20), (25, 5), .6, dxfattribs={"layer": "S"}); return {"holes": {}}

@case("ellipse-turned-over")
def _(doc, m):
    m.add_ellipse((30, 20), (25, 5), .6, dxfattribs={"layer": "S", "extrusion": (0, 0, -1)}); return {"holes": {}}

@case("spline-closed")
def _(doc, m):
    m.add_open_spline([(0, 0), (40, -30), (80, 20), (30, 60), (-20, 40), (0, 0)], dxfattribs={"layer": "S"}); return {"holes": {}}

@case("spline-rational")
def _(doc, m):
    m.add_rational_spline([(0, 0), (30, 40), (60, 0)], [1, 3, 1], degree=2, dxfattribs={"layer": "S"})
    m.add_line((60, 0), (0, 0), dxfattribs={"layer": "S"})
    e = m.query("SPLINE")[0]
    return {"holes": {}, "polygons": [polygon(e)]}

@case("pieces")
def _(doc, m):
    p = outline(m); pieces = list(p.virtual_entities()); m.delete_entity(p)
    for i, e in enumerate(reversed(pieces)):
        if i % 2 and e.dxftype() == "LINE":
            e.dxf.start, e.dxf.end = e.dxf.end, e.dxf.start
        m.add_entity(e)
    holes(m)
    ref = ezdxf.new().modelspace(); return {"polygons": [polygon(outline(ref))]}

@case("drawn-twice")
def _(doc, m):
    outline(m); outline(m); holes(m); holes(m)
    return {"polygons": [polygon(m.query("LWPOLYLINE")[0])], "left": 4}

@case("round-in-many-ways")
def _(doc, m):
    m.add_lwpolyline([(0, 0), (80, 0), (80, 50), (0, 45)], close=True, dxfattribs={"layer": "S"})
    h = {"layer": "H"}
    m.add_arc((10, 10), 1.25, 0, 180, dxfattribs=h); m.add_arc((10, 10), 1.25, 180, 0, dxfattribs=h)
    m.add_lwpolyline([(18.75, 10, 1), (21.25, 10, 1)], format="xyb", close=True, dxfattribs=h)
    m.add_lwpolyline([(30 + 1.25 * math.cos(i * math.pi / 18), 10 + 1.25 * math.sin(i * math.pi / 18)) for i in range(36)],
                     close=True, dxfattribs=h)
    m.add_ellipse((40, 10), (1.25, 0), 1, dxfattribs=h)
    from ezdxf.math import rational_bspline_from_arc, ConstructionCircle
    m.add_spline(dxfattribs=h).apply_construction_tool(rational_bspline_from_arc((50, 10), 1.25, 0, 360))
    return {"holes": {2.5: 5}}

@case("mirrored-text-code", version="R2000")
def _(doc, m):
    doc.encoding = "cp1252"; doc.header["$DWGCODEPAGE"] = "ANSI_1252"
    outline(m); holes(m, layer="L\u00f6cher")

with open(os.path.join(OUT, "expected.csv"), "w") as f:
    f.write("file,sheets,holes,left\n")
    for r in rows:
        f.write(",".join(r) + "\n")
