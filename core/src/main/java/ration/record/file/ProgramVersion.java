package ration.record.file;

/** Which version of the program this is; as in the build. */
public final class ProgramVersion {

    public static final String WORD = "0.1.0";

    private ProgramVersion() {}
}
