package ration;

import java.io.IOException;
import java.io.InputStream;

/** The program loaded a second time beside itself, its classes changed on the way. */
public final class Apart extends ClassLoader {

    /** What becomes of a class of the program. */
    public interface Change {
        byte[] of(String name, byte[] read) throws IOException;
    }

    private final Change change;

    public Apart(Change change) {
        super(Apart.class.getClassLoader());
        this.change = change;
    }

    /** A class of the tests as it sees the changed program. */
    public Class<?> seen(Class<?> test) throws ClassNotFoundException {
        return loadClass(test.getName());
    }

    @Override
    protected Class<?> loadClass(String name, boolean resolve) throws ClassNotFoundException {
        if (!name.startsWith("ration.")) {
            return super.loadClass(name, resolve);
        }
        synchronized (getClassLoadingLock(name)) {
            Class<?> known = findLoadedClass(name);
            return known == null ? defined(name) : known;
        }
    }

    private Class<?> defined(String name) throws ClassNotFoundException {
        try (InputStream in = getParent().getResourceAsStream(name.replace('.', '/') + ".class")) {
            if (in == null) {
                throw new ClassNotFoundException(name);
            }
            byte[] then = change.of(name, in.readAllBytes());
            return defineClass(name, then, 0, then.length);
        } catch (IOException e) {
            throw new ClassNotFoundException(name, e);
        }
    }
}
