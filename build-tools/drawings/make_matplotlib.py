"""Writes the SVG files of store/src/test/resources/drawings/matplotlib by Matplotlib 3.11, what is in them by shapely 2.

    python3 -m venv /tmp/v && /tmp/v/bin/pip install matplotlib shapely && /tmp/v/bin/python build-tools/drawings/make_matplotlib.py

A page of 200 by 150 mm, in points; a unit of the plot is a millimetre. The origin of the file is at the top left.
"""
import math, os
import matplotlib
matplotlib.use("svg")
import matplotlib.pyplot as plt
from matplotlib.patches import (Arc, Circle, Ellipse, FancyBboxPatch, PathPatch, Polygon, Rectangle, RegularPolygon, Wedge, Annulus)
from matplotlib.collections import PatchCollection, LineCollection
from matplotlib.path import Path
from matplotlib.transforms import Affine2D
from shapely.affinity import affine_transform
from shapely.geometry import Polygon as Shape, Point, box

OUT = os.path.join(os.path.dirname(__file__), "../../store/src/test/resources/drawings/matplotlib")
os.makedirs(OUT, exist_ok=True)
plt.rcParams.update({"svg.hashsalt": "plates", "svg.fonttype": "none", "path.simplify": False})
rows = ["file,sheets,holes,left"]
PLATE = [(20, 20), (80, 20), (80, 60), (32, 60), (20, 50)]


def case(name, draw, sheets, holes="", left=0):
    fig = plt.figure(figsize=(200 / 25.4, 150 / 25.4))
    ax = fig.add_axes([0, 0, 1, 1])
    ax.set_xlim(0, 200)
    ax.set_ylim(0, 150)
    ax.axis("off")
    draw(ax)
    fig.savefig(os.path.join(OUT, name + ".svg"), transparent=True, metadata={"Date": None})
    plt.close(fig)
    told = ";".join("%.4f %.4f %.4f" % (p.area, p.centroid.x, p.centroid.y - 150) for p in sorted(sheets, key=lambda p: -p.area))
    # The background of the figure is neither filled nor stroked.
    rows.append("%s,%s,%s,%d" % (name, told, holes, left + 1))


def add(*patches):
    return lambda ax: [ax.add_patch(p) for p in patches]


line = dict(fill=False, edgecolor="k", lw=.3)
full = Shape(PLATE)


def disc(x, y, rx, ry, turn=0):
    c, s = math.cos(math.radians(turn)), math.sin(math.radians(turn))
    return Shape([(x + rx * math.cos(t) * c - ry * math.sin(t) * s, y + rx * math.cos(t) * s + ry * math.sin(t) * c)
                  for t in (2 * math.pi * i / 20000 for i in range(20000))])


case("polygon", add(Polygon(PLATE, **line)), [full])
case("filled", add(Polygon(PLATE, facecolor="0.8", edgecolor="none")), [full])
case("unseen", add(Polygon(PLATE, **line), Polygon([(100, 20), (120, 20), (120, 40)], fill=False, edgecolor="none")), [full], "", 1)
case("plotted", lambda ax: ax.plot(*zip(*(PLATE + PLATE[:1])), "k-", lw=.3), [full])
case("plotted-in-edges", lambda ax: [ax.plot([a[0], b[0]], [a[1], b[1]], "k-", lw=.3) for a, b in zip(PLATE, PLATE[1:] + PLATE[:1])], [full])
case("rectangle", add(Rectangle((30, 30), 50, 25, **line)), [box(30, 30, 80, 55)])
case("rectangle-turned", add(Rectangle((30, 30), 50, 25, angle=30, **line)),
     [affine_transform(box(0, 0, 50, 25), [math.cos(math.pi / 6), -.5, .5, math.cos(math.pi / 6), 30, 30])])
case("circles", add(Polygon(PLATE, **line), *[Circle((30 + 12 * i, 30), 1.25, **line) for i in range(4)]), [full], "2.5 4")
case("large-circle", add(Circle((60, 60), 30, **line)), [disc(60, 60, 30, 30)])
case("ellipse", add(Ellipse((60, 60), 60, 30, **line)), [disc(60, 60, 30, 15)])
case("ellipse-turned", add(Ellipse((60, 60), 60, 30, angle=25, **line)), [disc(60, 60, 30, 15, 25)])
case("hexagon", add(RegularPolygon((60, 60), 6, radius=20, **line)), [Shape([(60 + 20 * math.sin(i * math.pi / 3), 60 + 20 * math.cos(i * math.pi / 3)) for i in range(6)])])
wedge = Wedge((60, 60), 30, 0, 90, **line)
# Its arc is of cubics, and is drawn as such.
case("wedge", add(wedge), [Shape([tuple(b(i / 2000)) for b, code in wedge.get_path().transformed(wedge.get_patch_transform()).iter_bezier()
                                  if code not in (1, 79) for i in range(2001)])])
case("annulus", add(Annulus((60, 60), 30, 10, facecolor="0.7", edgecolor="none")), [disc(60, 60, 30, 30)])
hole = Path(PLATE + PLATE[:1] + [(40, 30), (40, 45), (60, 45), (60, 30), (40, 30)],
            [1, 2, 2, 2, 2, 79, 1, 2, 2, 2, 79])
case("compound", add(PathPatch(hole, facecolor="0.8", edgecolor="none")), [full])
case("moved", lambda ax: ax.add_patch(Polygon(PLATE, transform=Affine2D().rotate_deg(20).translate(60, 10) + ax.transData, **line)),
     [affine_transform(full, [math.cos(math.radians(20)), -math.sin(math.radians(20)), math.sin(math.radians(20)), math.cos(math.radians(20)), 60, 10])])
case("mirrored", lambda ax: ax.add_patch(Polygon(PLATE, transform=Affine2D().scale(-1, 1).translate(110, 0) + ax.transData, **line)),
     [affine_transform(full, [-1, 0, 0, 1, 110, 0])])
case("collection", lambda ax: ax.add_collection(PatchCollection([Circle((30 + 20 * i, 40), 2, ) for i in range(5)], facecolor="0.8", edgecolor="k", lw=.3)), [], "4 5")
case("line-collection", lambda ax: ax.add_collection(LineCollection([[a, b] for a, b in zip(PLATE, PLATE[1:] + PLATE[:1])], colors="k", lw=.3)), [full])
case("markers", lambda ax: ax.scatter([30, 50, 70], [40, 40, 40], s=(72 / 25.4 * 3) ** 2, facecolors="none", edgecolors="k", linewidths=.3), [], "3 3")
case("scatter-of-one-size", lambda ax: ax.plot([30, 50, 70], [40, 40, 40], "o", ms=72 / 25.4 * 3, mfc="none", mec="k", mew=.3), [], "3 3")
# Matplotlib cuts the second in two pieces, just beyond the edge.
case("cut-by-the-axes", add(Polygon(PLATE, **line), Rectangle((180, 100), 50, 20, **line)), [full], "", 2)
case("words", lambda ax: (ax.add_patch(Polygon(PLATE, **line)), ax.text(100, 100, "Lower skin")), [full], "", 1)
open(os.path.join(OUT, "expected.csv"), "w").write("\n".join(rows) + "\n")
