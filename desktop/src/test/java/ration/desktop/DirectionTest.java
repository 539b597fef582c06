package ration.desktop;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/**
 * Which doors lie between the rooms of the window: pages know controls, controls the session, the frame knows pages.
 */
class DirectionTest {

    private static final Pattern ROOM = Pattern.compile("\\bration\\.desktop\\.([a-z]+)\\.");
    private static final Map<String, Set<String>> ALLOWED = Map.of(
            "style", Set.of(),
            "session", Set.of(),
            "control", Set.of("session", "style"));
    private static final Set<String> OF_A_PAGE = Set.of("control", "session", "style");

    @Test
    void aRoomKnowsOnlyThoseBelowIt() throws IOException {
        Path root = Path.of("src/main/java/ration/desktop");
        List<Path> rooms;
        try (Stream<Path> all = Files.list(root)) {
            rooms = all.filter(Files::isDirectory).toList();
        }
        assertThat(rooms).hasSizeGreaterThan(10);
        for (Path room : rooms) {
            String name = room.getFileName().toString();
            if (name.equals("frame")) {
                continue;
            }
            Set<String> known = new TreeSet<>();
            try (Stream<Path> files = Files.list(room)) {
                for (Path file : files.toList()) {
                    Matcher m = ROOM.matcher(Files.readString(file));
                    while (m.find()) {
                        known.add(m.group(1));
                    }
                }
            }
            known.remove(name);
            assertThat(ALLOWED.getOrDefault(name, OF_A_PAGE)).as(name).containsAll(known);
        }
    }
}
