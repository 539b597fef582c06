package ration.desktop;

/** Entry of the window. */
public final class Launch {
    private Launch() {
    }

    public static void main(String[] args) {
        System.out.println("soon");
    }
}
