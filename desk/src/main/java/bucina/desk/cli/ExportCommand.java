package bucina.desk.cli;

import bucina.core.drawing.Drawing;
import bucina.core.drawing.FaceDrawing;
import bucina.core.drawing.Template;
import bucina.core.drawing.XRay;
import bucina.core.evening.Tonight;
import bucina.core.guard.BayPoints;
import bucina.core.guard.Bays;
import bucina.core.hold.Holds;
import bucina.core.measure.Length;
import bucina.core.order.OrderOfWork;
import bucina.core.part.PartStates;
import bucina.core.plan.Bay;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.KeptSum;
import bucina.core.plan.Row;
import bucina.core.refit.LookAlikes;
import bucina.core.stack.FaceReading;
import bucina.core.sums.Bench;
import bucina.core.sums.SumForm;
import bucina.desk.session.FlatOut;
import bucina.desk.session.Printing;
import bucina.store.Chain;
import bucina.store.drawing.CloseOutPdf;
import bucina.store.drawing.DxfWriter;
import bucina.store.drawing.EveningPdf;
import bucina.store.drawing.EvidenceCsv;
import bucina.store.drawing.EvidencePdf;
import bucina.store.drawing.HeldOpenPdf;
import bucina.store.drawing.HoleCsv;
import bucina.store.drawing.LabelsPdf;
import bucina.store.drawing.OrderListPdf;
import bucina.store.drawing.Paper;
import bucina.store.drawing.Progress;
import bucina.store.drawing.SvgWriter;
import bucina.store.drawing.TemplatePdf;
import bucina.store.file.BuildFile;
import bucina.store.file.BuildFileException;
import bucina.store.file.OutFile;
import bucina.store.json.BuildJson;
import bucina.store.json.Json;
import bucina.store.json.PlanJson;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;

/** {@code export FILE --to FORMAT --what WHAT --out OUT}: a build, a face or a row in an open format. */
@Command(
        name = "export",
        mixinStandardHelpOptions = true,
        description = "Writes a build, a face or a template in an open format.")
final class ExportCommand extends OnBuild implements Callable<Integer> {

    @Option(names = "--to", required = true, description = "json, csv, svg, dxf or pdf")
    private String to;

    @Option(
            names = "--what",
            description = "build (everything as json, a face's sheets and holes as svg or dxf), holes, template, "
                    + "held-open, flat, evening, rules, evidence, "
                    + "closeout, order-list, labels or x-ray. "
                    + "Left out: build for json, svg and dxf, holes for csv, template for pdf.")
    private @Nullable String what;

    @Option(names = "--face", description = "The face; left out: the first, and every one as csv.")
    private @Nullable String face;

    @Option(names = "--row", description = "With template: a strip of this row in place of the face.")
    private @Nullable String row;

    @Option(names = "--flat", description = "With flat: name of the kept bend or bracket; left out: the first.")
    private @Nullable String flat;

    @Option(names = "--hours", defaultValue = "2.5", description = "With evening: how long it is.")
    private double hours;

    @Option(names = "--helper", description = "With evening: somebody helps.")
    private boolean helper;

    @Option(names = "--paper", defaultValue = "a4", description = "With pdf: a4 or letter.")
    private String paper;

    @Option(names = "--assembly", description = "With evidence: only what belongs to it.")
    private @Nullable String assembly;

    @Option(names = "--bay", description = "With closeout: name of the bay.")
    private @Nullable String bay;

    @Option(names = "--at", description = "With x-ray: the middle of the spot, X,Y. Left out: the whole face.")
    private @Nullable String at;

    @Option(names = "--size", description = "With x-ray: how wide and high the spot is; left out: 6 in.")
    private @Nullable String size;

    @Option(names = "--drill", description = "With x-ray: what is to be drilled there; left out: 1/8 in.")
    private @Nullable String drill;

    @Option(names = "--out", required = true, description = "The file to write.")
    private Path out;

    @Option(names = "--force", description = "Replace a file that is there.")
    private boolean force;

    private @Nullable Opened opened;

    @Override
    public Integer call() {
        String chosen = chosen();
        if (to.equals("json") && chosen.equals("build")) {
            build();
        } else if (chosen.equals("evidence")) {
            evidence();
        } else {
            byte[] content = content(chosen);
            write(stream -> stream.write(content));
        }
        String from = chosen.equals("flat")
                ? flat().title() + " to "
                : opened == null
                                || List.of("evening", "evidence", "closeout", "order-list", "labels")
                                        .contains(chosen)
                                || to.equals("csv") && face == null
                        ? ""
                        : ref().face().name() + " to ";
        common().answer(Common.object().put("out", out.toString()), List.of("Wrote " + from + out));
        return Cli.FINE;
    }

    private void write(OutFile.Content content) {
        try {
            OutFile.write(out, content, force);
        } catch (BuildFileException e) {
            throw e.trouble() == BuildFileException.Trouble.EXISTS
                    ? Common.wrong(e.getMessage() + " Or say --force.")
                    : e;
        }
    }

    private byte[] content(String chosen) {
        return switch (to + " " + chosen) {
            case "json rules" -> bytes(Json.pretty(PlanJson.rules(open().build().rules())) + "\n");
            case "csv holes", "csv build" -> csv();
            case "svg build", "dxf build" -> drawn(FaceDrawing.of(reading()));
            case "svg holes", "dxf holes" -> drawn(FaceDrawing.holes(reading()));
            case "svg template", "dxf template" -> drawn(template().marked());
            case "pdf template" ->
                TemplatePdf.write(template(), Paper.of(paper), opened().build().name(), Printing.FONTS);
            case "pdf flat", "svg flat", "dxf flat" ->
                FlatOut.content(flat(), to, Paper.of(paper), opened().build().name());
            case "pdf held-open" ->
                HeldOpenPdf.write(
                        ref(),
                        reading(),
                        new Holds(opened().derivation(), opened().log()),
                        common().unit(),
                        Paper.of(paper),
                        Printing.FONTS);
            case "pdf evening" -> evening();
            case "pdf closeout" -> closeOut();
            case "csv order-list" ->
                bytes(OrderListCommand.of(opened(), common()).csv());
            case "pdf order-list" ->
                OrderListPdf.write(
                        OrderListCommand.of(opened(), common()),
                        opened().build().name(),
                        LocalDate.now(common().top().clock()),
                        Paper.of(paper),
                        Printing.FONTS);
            case "pdf labels" ->
                LabelsPdf.write(
                        opened().build().parts(),
                        LookAlikes.of(opened().derivation()),
                        opened().build().name(),
                        Paper.of(paper),
                        Printing.FONTS);
            case "pdf x-ray" ->
                TemplatePdf.write(xRay(), Paper.of(paper), opened().build().name(), Printing.FONTS);
            case "svg x-ray", "dxf x-ray" -> drawn(xRay().marked());
            default -> throw unknown(chosen);
        };
    }

    private void evidence() {
        if (!to.equals("pdf") && !to.equals("csv")) {
            throw unknown("evidence");
        }
        try (BuildFile file = common().told(BuildFile.openToRead(file()))) {
            Opened is = derived(file);
            opened = is;
            Optional<Id.Assembly> of = Optional.ofNullable(assembly).map(name -> JobsOf.assembly(is, name));
            if (to.equals("csv")) {
                write(out ->
                        out.write(bytes(EvidenceCsv.write(is.build(), is.log(), of, Chain.links(file.entries())))));
                return;
            }
            EvidencePdf.Source source = new EvidencePdf.Source(
                    is.derivation(),
                    is.log(),
                    of,
                    Chain.links(file.entries()),
                    file.state().chain().heads(),
                    file.state().chain().late(),
                    file::photo,
                    common().unit(),
                    LocalDateTime.now(common().top().clock()));
            write(out -> EvidencePdf.write(source, Paper.of(paper), Printing.FONTS, out, Progress.NONE));
        }
    }

    private byte[] closeOut() {
        if (bay == null) {
            throw Common.wrong("closeout wants --bay, as --bay \"Nose bay\"");
        }
        Bay of = CloseoutCommand.bay(opened(), bay);
        PartStates states = PartStates.of(opened().derivation(), opened().log());
        BayPoints points = new BayPoints(opened().derivation(), opened().log(), states);
        return CloseOutPdf.write(
                new CloseOutPdf.Source(
                        opened().build(),
                        of,
                        points.of(of),
                        points.loose(of),
                        new Bays(opened().derivation(), opened().log(), states).signed(of),
                        common().unit()),
                Paper.of(paper),
                Printing.FONTS);
    }

    private Template xRay() {
        return XRay.of(
                ref(),
                reading(),
                opened().build().rules(),
                opened().log(),
                drill == null ? Length.in(.125) : common().lengths().parsePositive(drill, "--drill"),
                Optional.ofNullable(at).map(a -> common().points(a, "--at").getFirst()),
                size == null ? Length.in(6) : common().lengths().parsePositive(size, "--size"));
    }

    private byte[] evening() {
        JobsOf of = JobsOf.of(opened(), null, common());
        Tonight tonight = Tonight.of(
                of.jobs(), OrderOfWork.of(of.jobs(), j -> true), opened().derivation(), opened().log(), hours, helper);
        return EveningPdf.write(
                opened().build().name(),
                tonight,
                opened().derivation(),
                common().unit(),
                Paper.of(paper),
                Printing.FONTS);
    }

    private String chosen() {
        return what != null
                ? what
                : switch (to) {
                    case "csv" -> "holes";
                    case "pdf" -> "template";
                    default -> "build";
                };
    }

    private RuntimeException unknown(String chosen) {
        if (!List.of("json", "csv", "svg", "dxf", "pdf").contains(to)) {
            return Common.wrong(
                    "--to " + to + " is not a format this version writes: write json, csv, svg, dxf or pdf");
        }
        return Common.wrong("--what " + chosen + " is not something this version writes as " + to
                + ": there are json build and rules, csv holes, svg and dxf "
                + "build, holes, template, flat and x-ray, csv evidence and order-list, pdf "
                + "template, held-open, flat, evening, evidence, closeout, order-list, labels and x-ray");
    }

    private Opened opened() {
        opened = opened == null ? open() : opened;
        return opened;
    }

    private Build.FaceRef ref() {
        List<Build.FaceRef> faces = opened().build().faces();
        String names = faces.stream().map(f -> f.face().name()).collect(Collectors.joining(", "));
        return faces.stream()
                .filter(f -> face == null || f.face().name().equalsIgnoreCase(face.strip()))
                .findFirst()
                .orElseThrow(() -> Common.wrong(
                        faces.isEmpty()
                                ? "this build has no face yet"
                                : "there is no face \"" + face + "\"; this build has " + names));
    }

    private FaceReading reading() {
        return opened().derivation().face(ref().face().id());
    }

    private void build() {
        try (BuildFile file = common().told(BuildFile.openToRead(file()))) {
            BuildFile.Contents contents = file.read();
            write(stream -> BuildJson.write(
                    contents.build(), contents.log(), Chain.links(file.entries()), file.photographs(), stream));
        }
    }

    private byte[] csv() {
        if (face != null) {
            return bytes(HoleCsv.write(reading().readings()));
        }
        return bytes(HoleCsv.writeFaces(opened().build().faces().stream()
                .map(f -> opened().derivation().face(f.face().id()))
                .toList()));
    }

    private byte[] drawn(Drawing drawing) {
        return bytes(to.equals("svg") ? SvgWriter.write(drawing) : DxfWriter.write(drawing));
    }

    private Template template() {
        if (row == null) {
            return Template.face(ref(), reading());
        }
        List<Row> rows =
                ref().face().groups().stream().flatMap(g -> g.rows().stream()).toList();
        Row found = rows.stream()
                .filter(r -> r.name().equalsIgnoreCase(row.strip()))
                .findFirst()
                .orElseThrow(() -> Common.wrong(
                        "there is no row \"" + row + "\" on " + ref().face().name() + "; it has "
                                + rows.stream().map(Row::name).collect(Collectors.joining(", "))));
        return Template.strip(ref(), found, reading());
    }

    /** The flat of a kept sum: the one named, or the first that has one. */
    private Template flat() {
        List<KeptSum> sums = opened().build().workshop().sums();
        Bench bench = Bench.of(common().catalogue(), opened().derivation());
        for (KeptSum sum : sums) {
            if (flat != null && !sum.name().equalsIgnoreCase(flat.strip())) {
                continue;
            }
            Optional<Template> template = SumForm.of(sum, bench)
                    .flatMap(f ->
                            f.sum().answer(f.figures(bench, common().unit())).flat());
            if (template.isPresent()) {
                return FlatOut.titled(template.get(), sum.name());
            }
        }
        throw noFlat(sums);
    }

    private RuntimeException noFlat(List<KeptSum> sums) {
        String names = sums.stream().map(KeptSum::name).collect(Collectors.joining(", "));
        return Common.wrong(
                flat == null
                        ? "this build keeps no bend or bracket to write the flat of: keep one in the bench sums"
                        : "there is no flat \"" + flat + "\"; this build keeps "
                                + (names.isEmpty() ? "no sums" : names));
    }

    private static byte[] bytes(String text) {
        return text.getBytes(StandardCharsets.UTF_8);
    }
}
