package mardun.app.design;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Map;
import mardun.app.design.DesignDocument.Begun;
import mardun.app.problem.FieldReader;
import mardun.core.design.Design;
import mardun.core.kind.Brief;
import mardun.core.kind.Drafting;
import mardun.core.kind.Kind;
import mardun.core.kind.Known;
import mardun.core.measure.UnitSystem;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DocumentWriterTest {

    @ParameterizedTest
    @EnumSource(Kind.class)
    void aDocumentSaysAllThatItsDesignSays(Kind kind) {
        for (UnitSystem system : UnitSystem.values()) {
            String seam = system == UnitSystem.INCH ? "1/4 in" : "1 cm";
            Design design = Drafting.of(new Brief(kind, kind.words(), Known.FINISHED, Map.of(), Map.of(), system, seam))
                    .design();
            Begun begun = new Begun(kind, Known.FINISHED, Map.of(), system, seam);
            FieldReader fields = new FieldReader();

            Design read = DocumentReader.read(DocumentWriter.write(design, begun, Map.of()), fields);

            assertThat(fields.problems()).isEmpty();
            assertThat(read).usingRecursiveComparison().isEqualTo(design);
        }
    }
}
