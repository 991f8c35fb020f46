package bucina.store.json;

import static org.assertj.core.api.Assertions.assertThat;

import bucina.core.plan.Kept;
import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import java.util.List;
import org.junit.jupiter.api.Test;

class KindsTest {

    @Test
    void everything_that_is_kept_is_registered() {
        List<String> kept = new ClassFileImporter()
                .importPackages("bucina.core").stream()
                        .filter(c -> c.isAssignableTo(Kept.class) && !c.isInterface())
                        .map(JavaClass::getName)
                        .toList();

        assertThat(kept).isNotEmpty();
        assertThat(Kinds.ALL).extracting(k -> k.type().getName()).containsExactlyInAnyOrderElementsOf(kept);
    }

    @Test
    void no_two_kinds_share_a_table_or_a_list() {
        assertThat(Kinds.ALL).extracting(Kind::table).doesNotHaveDuplicates();
        assertThat(Kinds.ALL).extracting(k -> k.on() + " " + k.list()).doesNotHaveDuplicates();
    }
}
