import java.awt.BasicStroke;
import java.awt.Color;
import java.awt.Graphics2D;
import java.awt.RenderingHints;
import java.awt.geom.Path2D;
import java.awt.geom.RoundRectangle2D;
import java.awt.image.BufferedImage;
import java.io.File;
import java.io.IOException;
import javax.imageio.ImageIO;

/** Draws the program's icon in every size: a tank, its level, the line to the engine and the height between them. */
public final class Icon {

    private static final int[] SIZES = {16, 24, 32, 48, 64, 128, 256, 512};

    private Icon() {}

    public static void main(String[] args) throws IOException {
        for (int size : SIZES) {
            File folder = new File(args[0], size + "x" + size + "/apps");
            if (!folder.isDirectory() && !folder.mkdirs()) {
                throw new IOException("Cannot make " + folder);
            }
            ImageIO.write(draw(size), "png", new File(folder, "ration.png"));
        }
    }

    private static BufferedImage draw(int size) {
        BufferedImage image = new BufferedImage(size, size, BufferedImage.TYPE_INT_ARGB);
        Graphics2D g = image.createGraphics();
        g.setRenderingHint(RenderingHints.KEY_ANTIALIASING, RenderingHints.VALUE_ANTIALIAS_ON);
        g.setRenderingHint(RenderingHints.KEY_STROKE_CONTROL, RenderingHints.VALUE_STROKE_PURE);
        g.scale(size / 64.0, size / 64.0);
        g.setColor(new Color(0xFBFCF9));
        g.fill(new RoundRectangle2D.Double(1, 1, 62, 62, 14, 14));
        g.setColor(new Color(0x56631A));
        g.setStroke(new BasicStroke(2));
        g.draw(new RoundRectangle2D.Double(2, 2, 60, 60, 13, 13));
        // the tank, half full
        g.setColor(new Color(0xCFE3F2));
        g.fill(new RoundRectangle2D.Double(10, 19, 34, 11, 3, 3));
        g.setColor(new Color(0x2F79B5));
        g.setStroke(new BasicStroke(2.4f));
        g.draw(new java.awt.geom.Line2D.Double(10, 20, 44, 20));
        g.setColor(new Color(0x1E2A2F));
        g.setStroke(new BasicStroke(3));
        g.draw(new RoundRectangle2D.Double(10, 11, 34, 19, 4, 4));
        // the line down to the engine
        Path2D line = new Path2D.Double();
        line.moveTo(18, 31);
        line.lineTo(18, 50);
        line.lineTo(46, 50);
        g.setColor(new Color(0x2F79B5));
        g.setStroke(new BasicStroke(4, BasicStroke.CAP_BUTT, BasicStroke.JOIN_ROUND));
        g.draw(line);
        g.setColor(new Color(0x1E2A2F));
        g.fill(new java.awt.geom.Ellipse2D.Double(43, 44, 12, 12));
        // the height between them
        g.setColor(new Color(0x7C8C2C));
        g.setStroke(new BasicStroke(2));
        g.draw(new java.awt.geom.Line2D.Double(54, 20, 54, 40));
        g.draw(new java.awt.geom.Line2D.Double(50, 20, 58, 20));
        g.draw(new java.awt.geom.Line2D.Double(50, 40, 58, 40));
        g.dispose();
        return image;
    }
}
