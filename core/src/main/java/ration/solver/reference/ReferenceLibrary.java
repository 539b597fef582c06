package ration.solver.reference;

import java.io.IOException;
import java.io.InputStream;
import java.util.ArrayList;
import java.util.List;

/** The project's own copies of the reference networks. */
public final class ReferenceLibrary {

    private static final List<String> IDS =
            List.of("c01", "c03", "c04", "c05", "c07", "c09", "c11", "c14", "c17", "c20");

    private ReferenceLibrary() {}

    public static List<ReferenceCase> own() throws IOException {
        List<ReferenceCase> cases = new ArrayList<>();
        for (String id : IDS) {
            cases.add(own(id));
        }
        return cases;
    }

    /** One case by its id. */
    public static ReferenceCase own(String id) throws IOException {
        try (InputStream in = ReferenceLibrary.class.getResourceAsStream("/reference/network/" + id + ".json")) {
            if (in == null) {
                throw new IOException("There is no reference case " + id + ".");
            }
            return ReferenceCase.read(in, id + ".json");
        }
    }
}
