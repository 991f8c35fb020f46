package bucina.core.job;

import bucina.core.log.Logbook;
import bucina.core.part.PartStates;
import bucina.core.plan.Build;
import bucina.core.plan.Id;
import bucina.core.plan.Part;
import bucina.core.plan.Tool;
import java.util.List;
import java.util.Set;

/**
 * What is known of the whole build while its jobs are worked out.
 *
 * @param staying parts that are on for good on some face
 */
record Around(
        Build build,
        Logbook log,
        PartStates parts,
        Set<Id.Part> staying,
        Set<Id.Part> plates,
        List<Tool> crib,
        HoleSetups setups,
        HoleHolds holds,
        Paces paces) {

    /** True if a part is on for good on some face, so that it does not come off any more. */
    boolean stays(Id.Part part) {
        return staying.contains(part);
    }

    /** True if what is done at holes follows from the same: all but when parts go on, and what lies on faces. */
    boolean atHolesAs(Around before) {
        boolean same = log == before.log
                && build.rules().equals(before.build.rules())
                && build.papers() == before.build.papers()
                && build.workshop().bays().equals(before.build.workshop().bays())
                && crib.equals(before.crib)
                && staying.equals(before.staying)
                && plates.equals(before.plates)
                && build.parts().size() == before.build.parts().size();
        for (int i = 0; same && i < build.parts().size(); i++) {
            Part was = before.build.parts().get(i);
            Part is = build.parts().get(i);
            same = is == was || is.withFittingOrder(was.fittingOrder()).equals(was);
        }
        return same;
    }
}
