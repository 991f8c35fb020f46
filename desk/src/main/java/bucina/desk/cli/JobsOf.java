package bucina.desk.cli;

import bucina.core.hold.Holds;
import bucina.core.job.Job;
import bucina.core.job.Jobs;
import bucina.core.plan.Assembly;
import bucina.core.plan.Id;
import java.time.LocalDate;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * The jobs of a build, or of one assembly of it.
 *
 * @param jobs     every job of the build
 * @param assembly the one asked for; empty for all
 */
record JobsOf(Jobs jobs, Optional<Id.Assembly> assembly) {

    static JobsOf of(OnBuild.Opened opened, @Nullable String name, Common common) {
        Jobs jobs = Jobs.of(
                opened.derivation(),
                opened.log(),
                new Holds(opened.derivation(), opened.log()),
                LocalDate.now(common.top().clock()));
        return new JobsOf(jobs, Optional.ofNullable(name).map(n -> assembly(opened, n)));
    }

    /** The assembly with this name. */
    static Id.Assembly assembly(OnBuild.Opened opened, String name) {
        return opened.build().assemblies().stream()
                .filter(a -> a.name().equalsIgnoreCase(name.strip()))
                .findFirst()
                .map(Assembly::id)
                .orElseThrow(() -> Common.wrong("there is no assembly \"" + name + "\"; this build has "
                        + opened.build().assemblies().stream()
                                .map(Assembly::name)
                                .collect(Collectors.joining(", "))));
    }

    /** True for a job of the assembly asked for. */
    boolean shown(Job job) {
        return assembly.isEmpty() || job.assembly().map(Assembly::id).equals(assembly);
    }
}
