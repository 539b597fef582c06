package ration.publish.export;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;
import ration.Systems;
import ration.aircraft.model.FuelSystem;
import ration.aircraft.model.Item;
import ration.aircraft.model.Place;
import ration.aircraft.model.Tank;
import ration.physics.breathing.SamplingCard;
import ration.record.project.Project;

/** The sampling card on paper. */
class SamplingPdfTest {

    private static Project drained(Place... drains) {
        List<Item> items = new ArrayList<>();
        for (int i = 0; i < drains.length; i++) {
            items.add(Systems.tank("t" + i, 10 + i, 0, 30).renamed("Drain " + (char) ('A' + i)));
            items.set(i, ((Tank) items.get(i)).withDrain(Optional.of(drains[i])));
        }
        return Systems.project(new FuelSystem(items, Optional.empty()));
    }

    private static String text(Project p, int pages) throws IOException {
        try (PDDocument pdf = Loader.loadPDF(SamplingPdf.of(p))) {
            assertThat(pdf.getNumberOfPages()).isEqualTo(pages);
            return new PDFTextStripper().getText(pdf);
        }
    }

    /** From the left wing's tail end to the nose, along the middle, and back along the right. */
    @Test
    void drainsStandInTheOrderOfAWalk() throws IOException {
        Project p = drained(
                Place.inches(20, 40, 30),
                Place.inches(60, 40, 30),
                Place.inches(50, -40, 30),
                Place.inches(30, -40, 30),
                Place.inches(5, 0, 10));
        assertThat(SamplingCard.of(p.system()))
                .extracting(SamplingCard.Drain::name)
                .containsExactly("Drain C", "Drain D", "Drain E", "Drain A", "Drain B");
        assertThat(text(p, 1))
                .containsSubsequence("1", "Drain C", "2", "Drain D", "3", "Drain E", "4", "Drain A", "5", "Drain B");
    }

    @Test
    void everyDrainHasItsBoxesAndTheCardItsCautions() throws IOException {
        String text = text(Systems.corrie(), 1);
        assertThat(text)
                .contains(
                        "Corrie B1, fuel samples before flight",
                        "No ignition source near",
                        "hazardous waste",
                        "Wait after fueling",
                        "Date:",
                        "By:");
        int drains = SamplingCard.of(Systems.corrie().system()).size();
        for (String box : List.of("color", "water debris", "debris", "drain closed")) {
            assertThat(text.split(box, -1)).as(box).hasSize(drains + 1);
        }
    }

    @Test
    void aLayoutWithoutDrainsSaysSoAndManyGoOnToTheNextPage() throws IOException {
        assertThat(text(Systems.project(Systems.oneLine()), 1)).contains("No drain in the layout.");
        Place[] many = new Place[26];
        for (int i = 0; i < many.length; i++) {
            many[i] = Place.inches(i, 0, 30);
        }
        String text = text(drained(many), 2);
        assertThat(text.split("fuel samples before flight", -1))
                .as("a head on each page")
                .hasSize(3);
        assertThat(text).contains("Drain A", "Drain Z");
    }
}
