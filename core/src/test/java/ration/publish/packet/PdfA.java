package ration.publish.packet;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.ByteArrayInputStream;
import org.verapdf.gf.foundry.VeraGreenfieldFoundryProvider;
import org.verapdf.pdfa.Foundries;
import org.verapdf.pdfa.PDFAParser;
import org.verapdf.pdfa.flavours.PDFAFlavour;
import org.verapdf.pdfa.results.ValidationResult;

/** An independent validator for PDF/A-2a (ISO 19005-2). */
final class PdfA {

    private PdfA() {}

    static void check(byte[] pdf) throws Exception {
        VeraGreenfieldFoundryProvider.initialise();
        try (PDFAParser parser =
                Foundries.defaultInstance().createParser(new ByteArrayInputStream(pdf), PDFAFlavour.PDFA_2_A)) {
            ValidationResult r = Foundries.defaultInstance()
                    .createValidator(PDFAFlavour.PDFA_2_A, false)
                    .validate(parser);
            assertThat(r.isCompliant()).as(r.getFailedChecks().toString()).isTrue();
        }
    }
}
