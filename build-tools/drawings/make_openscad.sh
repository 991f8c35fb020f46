#!/usr/bin/env bash
# Writes the DXF files of store/src/test/resources/drawings/openscad with OpenSCAD 2021 (a Debian package), and what is in
# them by hand: areas of polygons, n/2 r² sin(2 pi/n) for a circle of n sides.
set -eu
cd "$(dirname "$(readlink -f "${BASH_SOURCE[0]}")")/../../store/src/test/resources/drawings"
mkdir -p openscad
part='module part() { difference() { polygon([[0,0],[60,0],[60,40],[20,40],[0,30]]); for (x=[10,20,30]) translate([x,8]) circle(r=1.25,$fn=48); } }'
make() { openscad -q -o "openscad/$1.dxf" <(printf '%s\n%s\n' "$part" "$2") 2>/dev/null || { printf '%s\n%s\n' "$part" "$2" > /tmp/case.scad; openscad -q -o "openscad/$1.dxf" /tmp/case.scad; }; }
make plate 'part();'
make mirrored 'mirror([1,0]) part();'
make turned 'translate([5,5]) rotate(30) part();'
make apart 'part(); translate([100,0]) square([30,20]);'
make hexagon 'difference() { square([30,20]); translate([15,10]) circle(r=5,$fn=6); }'
{
  echo "file,sheets,holes,left"
  echo "plate,2300.0000 31.0145 19.2754,2.5000 3,0"
  echo "mirrored,2300.0000 -31.0145 19.2754,2.5000 3,0"
  echo "turned,2300.0000 22.2217 37.2002,2.5000 3,0"
  echo "apart,2300.0000 31.0145 19.2754;600.0000 115.0000 10.0000,2.5000 3,0"
  echo "hexagon,600.0000 15.0000 10.0000,,0"
} > openscad/expected.csv
