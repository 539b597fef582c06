package ration.desktop.frame;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.file.Path;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import ration.desktop.frame.TitleCell.Titles;
import ration.record.file.ProjectFile;
import ration.record.file.ProjectFileException;
import ration.record.project.Brief;
import ration.record.project.Project;

/** What a document is called in the window, without a display. */
class TitlesTest {

    @Test
    void aDocumentIsCalledByItsAircraftAndSaysWhetherItIsSaved() throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        Titles saved = new Titles(p, false, Optional.of(Path.of("hangar", "corrie.ration")));
        assertThat(saved.window()).isEqualTo("Corrie B1 \u2013 corrie.ration \u2013 Ration");
        assertThat(saved.aircraft()).isEqualTo("Corrie B1");
        Titles changed = new Titles(p, true, Optional.empty());
        assertThat(changed.window()).isEqualTo("Corrie B1 (not saved) \u2013 Ration");
        assertThat(changed.aircraft()).isEqualTo("Corrie B1 \u2022");
    }

    @Test
    void underItStandsHowItIsFed() throws ProjectFileException {
        Project p = ProjectFile.demo("corrie-b1");
        assertThat(new Titles(p, false, Optional.empty()).subtitle()).endsWith("gravity feed");
        Project pumped = p.with(p.brief().withDelivery(Brief.Delivery.PUMP).withEngine("Three cylinders"));
        assertThat(new Titles(pumped, false, Optional.empty()).subtitle()).isEqualTo("Three cylinders, pump fed");
        assertThat(new Titles(p.with(p.brief().withEngine(" ")), false, Optional.empty()).subtitle())
                .isEqualTo("Gravity feed");
    }
}
