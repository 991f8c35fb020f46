#!/usr/bin/env bash
# Writes the tables of store/src/test/resources/drawings/gnumeric with Gnumeric 1.12 (a Debian package; localedef -i de_DE -f UTF-8 de_DE.UTF-8): a sheet is filled
# cell by cell and written as text the way people ask a spreadsheet to. What is in them is by hand: how many holes of which
# diameter, and the middle of their places, mm.
set -eu
cd "$(dirname "$(readlink -f "${BASH_SOURCE[0]}")")/../../store/src/test/resources/drawings"
mkdir -p gnumeric
work="$(mktemp -d)"; trap 'rm -rf "$work"' EXIT
rows=("file,holes,x,y,left")
# make NAME ENDING EXPORTER OPTIONS EXPECTED < comma separated cells
make() {
  cat > "$work/in.csv"
  ssconvert "$work/in.csv" "$work/in.gnumeric" 2>/dev/null
  ssconvert -T Gnumeric_stf:stf_"$3" ${4:+-O "$4"} "$work/in.gnumeric" "gnumeric/$1.$2" 2>/dev/null
  rows+=("$1.$2,$5")
}
# Three holes of 2.5 mm whose middle is 20, 8, and one of 3.2 at 40, 16: their middle is 25, 10.
mm=$'hole,x_mm,y_mm,diameter_mm\n1,10,8,2.5\n2,20,8,2.5\n3,30,8,2.5\n4,40,16,3.2\n'
inch=$'hole,x (in),y (in),dia (in)\n1,0.5,0.25,0.098\n2,1,0.25,0.098\n3,1.5,0.25,0.128\n'
all='2.5 3;3.2 1,25,10,0'
odd='2.4892 2;3.2512 1,25.4,6.35,0'
make plain csv csv "" "$all" <<< "$mm"
make inch csv csv "" "$odd" <<< "$inch"
make semicolons csv assistant 'separator=;' "$all" <<< "$mm"
make tabs txt assistant $'separator="\t"' "$all" <<< "$mm"
make bars txt assistant 'separator=|' "$all" <<< "$mm"
make utf16 csv assistant 'charset=UTF-16 separator=;' "$all" <<< "$mm"
make utf16le csv assistant 'charset=UTF-16LE separator=;' "$all" <<< "$mm"
make latin1 csv assistant 'charset=ISO-8859-1 separator=;' "$all" <<< "${mm/diameter_mm/Durchm. Ø [mm]}"
make windows-lines csv assistant 'eol=windows' "$all" <<< "$mm"
make old-mac-lines csv assistant 'eol=mac' "$all" <<< "$mm"
make quoted csv assistant 'quoting-mode=always' "$all" <<< "$mm"
make quoted-semicolons csv assistant 'quoting-mode=always separator=;' "$odd" <<< "$inch"
make titled csv csv "" "$all" <<< $'Holes of the floor,,,\nDrawn 12 March,,,\n,,,\n'"$mm"
make commented csv csv "" "$all" <<< $'# of the floor,,,\n'"$mm"
make units csv csv "" "$all" <<< $'hole,x,y,diameter\n,mm,mm,mm\n1,10,8,2.5\n2,20,8,2.5\n3,30,8,2.5\n4,40,16,3.2\n'
make bracketed csv csv "" "$all" <<< $'Nr,x [mm],y [mm],Ø [mm]\n1,10,8,2.5\n2,20,8,2.5\n3,30,8,2.5\n4,40,16,3.2\n'
make german csv assistant 'separator=; locale=de_DE.UTF-8' "$all" <<< $'Nr,X-Koordinate [mm],Y-Koordinate [mm],Durchmesser [mm]\n1,10,8,2.5\n2,20,8,2.5\n3,30,8,2.5\n4,40,16,3.2\n'
make french csv assistant 'separator=; locale=de_DE.UTF-8' "$all" <<< $'trou,abscisse (mm),ordonnée (mm),diamètre (mm)\n1,10,8,2.5\n2,20,8,2.5\n3,30,8,2.5\n4,40,16,3.2\n'
make comma-decimals-quoted csv assistant 'locale=de_DE.UTF-8' "$odd" <<< "$inch"
make comma-decimals-tabs txt assistant $'separator="\t" locale=de_DE.UTF-8' "$odd" <<< "$inch"
make centimetres csv csv "" "$all" <<< $'x/cm,y/cm,d/cm\n1,.8,.25\n2,.8,.25\n3,.8,.25\n4,1.6,.32\n'
make totals csv csv "" '2.5 3;3.2 1,25,10,1' <<< "$mm"$'total,100,,\n'
make swapped csv csv "" "$all" <<< $'diameter mm,up mm,across mm\n2.5,8,10\n2.5,8,20\n2.5,8,30\n3.2,16,40\n'
make drills csv csv "" '2.4892 2;3.2639 1,25.4,6.35,0' <<< $'x in,y in,drill\n0.5,0.25,40\n1,0.25,40\n1.5,0.25,30\n'
make drill-names csv csv "" '2.4892 2;3.2639 1,25.4,6.35,0' <<< $'x in,y in,drill\n0.5,0.25,#40\n1,0.25,#40\n1.5,0.25,#30\n'
make halves csv csv "" '3.175 2,25.4,12.7,0' <<< $'x inch,y inch,bore\n½,½,⅛\n1½,½,⅛\n'
# A spreadsheet makes dates of fractions: that is no figure, and is refused.
make dates csv csv "" 'refused,0,0,0' <<< $'x inch,y inch,bore\n1,2,1/8\n'
make powers csv assistant 'format=raw' '2.5 2,15,8,0' <<< $'x_mm,y_mm,d_mm\n1.0E+01,8.0E+00,2.5E+00\n2.0E+01,8.0E+00,2.5E+00\n'
make spare-columns csv csv "" "$all" <<< $'hole,x_mm,y_mm,z_mm,diameter_mm,colour\n1,10,8,0,2.5,red\n2,20,8,0,2.5,red\n3,30,8,0,2.5,red\n4,40,16,0,3.2,blue\n'
printf '%s\n' "${rows[@]}" > gnumeric/expected.csv
