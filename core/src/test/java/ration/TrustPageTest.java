package ration;

import static org.assertj.core.api.Assertions.assertThat;

import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectMapper;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.Test;
import ration.answer.assess.Assessment;
import ration.answer.assess.CaseWords;
import ration.base.atmosphere.StandardAtmosphere;
import ration.base.fluid.VaporPressure;
import ration.publish.export.EpanetInp;
import ration.solver.network.FrictionLaw;
import ration.solver.reference.Proof;
import ration.solver.reference.ReferenceCase;

/**
 * The figures of docs/trust.md are those that the comparisons find today. Written anew by -Dration.keep.trust=true, and
 * looked at before they are kept.
 */
class TrustPageTest {

    private static final Path PAGE = Path.of("..", "docs", "trust.md");
    private static final List<String> NETWORKS =
            List.of("c01", "c03", "c04", "c05", "c07", "c09", "c11", "c14", "c17", "c20");
    private static final Map<String, String[]> EPANET = Map.of(
            "corrie-governing", new String[] {"corrie-b1", "governing"},
            "corrie-upper-full", new String[] {"corrie-b1", "level, upper, full"},
            "tansy-both-pumps", new String[] {"tansy-l3", "climb, right, half, both pumps"},
            "tansy-boost-alone", new String[] {"tansy-l3", "level, left, low, boost pump alone, filters dirty"},
            "brindle-lift", new String[] {"brindle-a2", "level, full, lift pump alone"});

    private static InputStream open(String path) {
        return TrustPageTest.class.getResourceAsStream(path);
    }

    private static List<CSVRecord> table(String path) throws IOException {
        try (Reader in = new InputStreamReader(open(path), StandardCharsets.UTF_8)) {
            return CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(in)
                    .getRecords();
        }
    }

    /** A share as a percentage: rounded up: to a power of ten where it is tiny, else to two figures. */
    static String percent(double share) {
        double p = 100 * share;
        if (p < 1e-3) {
            double up = Math.pow(10, Math.ceil(Math.log10(Math.max(p, 1e-8))));
            return new java.math.BigDecimal(up, new java.math.MathContext(1)).toPlainString() + " %";
        }
        return new java.math.BigDecimal(p)
                        .round(new java.math.MathContext(2, java.math.RoundingMode.UP))
                        .toPlainString()
                + " %";
    }

    private static Map<String, String> found() throws IOException {
        double network = 0;
        double turbulent = 0;
        for (String id : NETWORKS) {
            try (InputStream in = open("/reference/network/" + id + ".json")) {
                Proof p = Proof.of(ReferenceCase.read(in, id));
                network = Math.max(network, p.same());
                turbulent = p.slowest() >= FrictionLaw.TURBULENT ? Math.max(turbulent, p.own()) : turbulent;
            }
        }
        double colebrook = 0;
        double law = 0;
        for (CSVRecord r : table("/reference/tables/friction.csv")) {
            double re = Double.parseDouble(r.get("Re"));
            double rr = Double.parseDouble(r.get("eps_over_D"));
            law = Math.max(law, off(FrictionLaw.EPANET.factor(re, rr), Double.parseDouble(r.get("epanet_2_2"))));
            if (!r.get("colebrook").isEmpty() && re >= 2300) {
                colebrook = Math.max(
                        colebrook,
                        off(FrictionLaw.CONSERVATIVE.factor(re, rr), Double.parseDouble(r.get("colebrook"))));
            }
        }
        double isa = 0;
        for (CSVRecord r : table("/reference/tables/isa.csv")) {
            isa = Math.max(
                    isa,
                    off(
                            StandardAtmosphere.pressure(Double.parseDouble(r.get("h_m"))),
                            Double.parseDouble(r.get("p_Pa_formula"))));
        }
        return Map.of(
                "network", percent(network),
                "turbulent", percent(turbulent),
                "epanet", percent(epanet()),
                "colebrook", percent(colebrook),
                "law", percent(law),
                "isa", percent(isa),
                "vapor", vapor());
    }

    private static double off(double ours, double theirs) {
        return Math.abs(ours / theirs - 1);
    }

    /** Of flows that matter: over a thousandth of the largest. */
    private static double epanet() throws IOException {
        double most = 0;
        for (Map.Entry<String, String[]> e : EPANET.entrySet()) {
            Assessment a = Systems.assessed(e.getValue()[0]);
            Map<String, Double> ours = EpanetInp.flows(
                    a.look(CaseWords.parse(a, e.getValue()[1])).orElseThrow().capacity());
            JsonNode theirs;
            try (InputStream in = open("/epanet/" + e.getKey() + ".json")) {
                theirs = new ObjectMapper().readTree(in).get("flows_L_s");
            }
            double largest = ours.values().stream().mapToDouble(Math::abs).max().orElseThrow();
            for (Map.Entry<String, Double> f : ours.entrySet()) {
                if (Math.abs(f.getValue()) > 1e-3 * largest) {
                    most = Math.max(
                            most, off(f.getValue(), theirs.get(f.getKey()).asDouble()));
                }
            }
        }
        return most;
    }

    private static String vapor() throws IOException {
        Pattern reid = Pattern.compile("mogas RVP([0-9.]+).*");
        double least = Double.POSITIVE_INFINITY;
        double most = Double.NEGATIVE_INFINITY;
        for (CSVRecord r : table("/reference/vapour/vapour.csv")) {
            Matcher m = reid.matcher(r.get("mix"));
            double celsius = Double.parseDouble(r.get("T_C"));
            if (m.matches() && celsius >= 20 && celsius <= 60) {
                double high = new VaporPressure(Double.parseDouble(m.group(1)), 3).pascal(celsius + 273.15)
                                / 1000
                                / Double.parseDouble(r.get("eos_kPa"))
                        - 1;
                least = Math.min(least, high);
                most = Math.max(most, high);
            }
        }
        return String.format(java.util.Locale.ROOT, "%+.1f to %+.1f %%", 100 * least, 100 * most);
    }

    @Test
    void thePageSaysWhatIsFound() throws IOException {
        String page = Files.readString(PAGE);
        String now = page;
        for (Map.Entry<String, String> e : found().entrySet()) {
            String mark = "<!--" + e.getKey() + "-->";
            assertThat(page).contains(mark);
            now = now.replaceAll(
                    Pattern.quote(mark) + "[^<]*<!---->", Matcher.quoteReplacement(mark + e.getValue() + "<!---->"));
        }
        if (Boolean.getBoolean("ration.keep.trust")) {
            Files.writeString(PAGE, now);
        }
        assertThat(now).isEqualTo(Files.readString(PAGE)).doesNotContain("-->?<");
    }
}
