package bucina.desk.cli;

import bucina.core.form.PartForm;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Part;
import bucina.core.refit.LookAlikes;
import bucina.core.stack.Derivation;
import bucina.store.file.BuildFile;
import java.util.List;
import java.util.concurrent.Callable;
import org.jspecify.annotations.Nullable;
import picocli.CommandLine.Command;
import picocli.CommandLine.Option;
import picocli.CommandLine.Parameters;

/** {@code part FILE add|set NAME}: a part more, or something else said of one. */
@Command(
        name = "part",
        mixinStandardHelpOptions = true,
        description = "Adds a part, or says something else of one; prints it once it is on disk.")
final class PartCommand extends OnBuild implements Callable<Integer> {

    @Parameters(index = "1", paramLabel = "add|set", description = "add: a part more. set: of a part that is there.")
    private String verb;

    @Parameters(index = "2", paramLabel = "NAME", description = "Its name; with set its number or another name, too.")
    private String name;

    @Option(names = "--number", description = "As stamped.")
    private @Nullable String number;

    @Option(names = "--hand", description = "left, right or none.")
    private @Nullable String hand;

    @Option(names = "--kind", description = "sheet, skin, rib, spar, angle or nut-plates.")
    private @Nullable String kind;

    @Option(names = "--alloy", description = "Alloy and temper: 2024-T3")
    private @Nullable String alloy;

    @Option(names = "--called", description = "Gauge called for.")
    private @Nullable String called;

    @Option(names = "--measured", description = "Gauge measured.")
    private @Nullable String measured;

    @Option(names = "--place", description = "Crate, shelf or bag.")
    private @Nullable String place;

    @Option(names = "--standing", description = "crate, here, dry, off, on, out or short.")
    private @Nullable String standing;

    @Option(names = "--due", description = "The day it is due back: 2026-12-04")
    private @Nullable String due;

    @Option(names = "--page", description = "Page of the manual.")
    private @Nullable String page;

    @Override
    public Integer call() {
        if (!verb.equals("add") && !verb.equals("set")) {
            throw Common.wrong("\"" + verb + "\" is neither add nor set: write part FILE add \"Main rib 3\", or part "
                    + "FILE set \"Main rib 3\" --standing dry");
        }
        PartForm form = new PartForm(
                number, hand, kind, alloy, called, measured, place, standing, due, page, common().lengths());
        try (BuildFile file = common().told(BuildFile.open(file()))) {
            Opened opened = derived(file);
            PartStates states = PartStates.of(opened.derivation(), opened.log());
            Build after = verb.equals("add")
                    ? form.add(opened.build(), name)
                    : form.set(opened.build(), states, form.named(states, name).id());
            file.save(after.checked());
            Derivation derived = opened.derivation().after(after);
            PartStates now = PartStates.of(derived, opened.log());
            Part part = verb.equals("add") ? after.parts().getLast() : form.named(now, name);
            common().answer(
                            PartsCommand.tree(part, now, LookAlikes.of(derived).getOrDefault(part.id(), List.of())),
                            List.of(part.name() + ": " + now.words(part.id())));
            return Cli.FINE;
        }
    }
}
