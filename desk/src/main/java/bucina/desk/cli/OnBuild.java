package bucina.desk.cli;

import bucina.core.log.Logbook;
import bucina.core.plan.Build;
import bucina.core.plan.Group;
import bucina.core.stack.Derivation;
import bucina.store.file.BuildFile;
import java.nio.file.Path;
import java.util.stream.Collectors;
import picocli.CommandLine.Mixin;
import picocli.CommandLine.Parameters;

/** A verb on a build file. */
abstract class OnBuild {

    @Mixin
    private Common common;

    @Parameters(index = "0", paramLabel = "FILE", description = "The build, a .bucina file.")
    private Path file;

    Common common() {
        return common;
    }

    Path file() {
        return file;
    }

    /** What the file holds and what follows from it. */
    record Opened(Build build, Logbook log, Derivation derivation) {}

    Opened open() {
        try (BuildFile build = common.told(BuildFile.openToRead(file))) {
            return derived(build);
        }
    }

    /** The face with this name. */
    static Build.FaceRef face(Opened opened, String name) {
        return opened.build()
                .face(name)
                .orElseThrow(() -> Common.wrong("there is no face \"" + name + "\"; this build has "
                        + opened.build().faces().stream()
                                .map(f -> f.face().name())
                                .collect(Collectors.joining(", "))));
    }

    /** The group with this code. */
    static Build.GroupRef group(Opened opened, String code) {
        return opened.build()
                .group(code)
                .orElseThrow(() -> Common.wrong("there is no group \"" + code + "\"; this build has "
                        + opened.build().faces().stream()
                                .flatMap((Build.FaceRef f) -> f.face().groups().stream())
                                .map(Group::code)
                                .collect(Collectors.joining(", "))));
    }

    Opened derived(BuildFile open) {
        return derived(open.read());
    }

    Opened derived(BuildFile.Contents contents) {
        return new Opened(contents.build(), contents.log(), Derivation.of(contents.build(), common.catalogue()));
    }
}
