package bucina.desk.session;

import bucina.core.measure.Unit;
import bucina.core.plan.Id;
import bucina.core.state.Snapshot;
import bucina.store.Chain;
import bucina.store.drawing.EvidenceCsv;
import bucina.store.drawing.EvidencePdf;
import bucina.store.drawing.Paper;
import bucina.store.drawing.Progress;
import bucina.store.file.BuildFile;
import bucina.store.file.OutFile;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.LocalDateTime;
import java.util.Optional;

/** Writes the evidence of a build. It reads the file for itself, so that no picture is held in memory. */
public final class EvidenceOut {

    private EvidenceOut() {}

    /**
     * As a PDF, a picture at a time.
     *
     * @param assembly only what belongs to it; empty for the whole build
     */
    public static OutFile.Content pdf(
            Path file,
            Snapshot now,
            Optional<Id.Assembly> assembly,
            Paper paper,
            Unit unit,
            LocalDateTime at,
            Progress progress) {
        return out -> {
            try (BuildFile open = BuildFile.openToRead(file)) {
                EvidencePdf.Source source = new EvidencePdf.Source(
                        now.derivation(),
                        now.log(),
                        assembly,
                        Chain.links(open.entries()),
                        open.state().chain().heads(),
                        open.state().chain().late(),
                        open::photo,
                        unit,
                        at);
                EvidencePdf.write(source, paper, Printing.FONTS, out, progress);
            }
        };
    }

    /** As a table. */
    public static OutFile.Content csv(Path file, Snapshot now) {
        return out -> {
            try (BuildFile open = BuildFile.openToRead(file)) {
                out.write(EvidenceCsv.write(now.build(), now.log(), Optional.empty(), Chain.links(open.entries()))
                        .getBytes(StandardCharsets.UTF_8));
            }
        };
    }
}
