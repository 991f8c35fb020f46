import java.awt.event.InputEvent;
import java.awt.event.KeyEvent;
import java.io.File;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import javax.imageio.ImageIO;

/**
 * Hands that know only the screen: reads lines of "key CONTROL K", "type US-3", "click X Y", "wait MS" and "shot FILE"
 * and does them on the display, as somebody at the bench would.
 */
public class Robot {

    private static java.awt.Robot robot;

    public static void main(String[] args) throws Exception {
        robot = new java.awt.Robot();
        robot.setAutoDelay(40);
        for (String line : Files.readAllLines(Path.of(args[0]))) {
            String[] words = line.strip().split(" ", 2);
            switch (words[0]) {
                case "key" -> key(List.of(words[1].split(" ")));
                case "type" -> words[1].chars().forEach(c -> type((char) c));
                case "click" -> click(words[1].split(" "));
                case "wait" -> Thread.sleep(Long.parseLong(words[1]));
                case "shot" -> ImageIO.write(
                        robot.createScreenCapture(new java.awt.Rectangle(0, 0, 1280, 800)), "png", new File(words[1]));
                default -> {}
            }
        }
    }

    private static void key(List<String> names) {
        List<Integer> codes = names.stream().map(Robot::code).toList();
        codes.forEach(robot::keyPress);
        codes.reversed().forEach(robot::keyRelease);
    }

    private static int code(String name) {
        try {
            return KeyEvent.class.getField("VK_" + name).getInt(null);
        } catch (ReflectiveOperationException e) {
            throw new IllegalArgumentException("no key is called " + name, e);
        }
    }

    private static void type(char c) {
        boolean shift = Character.isUpperCase(c);
        if (shift) {
            robot.keyPress(KeyEvent.VK_SHIFT);
        }
        int code = c == '-' ? KeyEvent.VK_MINUS : KeyEvent.getExtendedKeyCodeForChar(c);
        robot.keyPress(code);
        robot.keyRelease(code);
        if (shift) {
            robot.keyRelease(KeyEvent.VK_SHIFT);
        }
    }

    private static void click(String[] at) {
        robot.mouseMove(Integer.parseInt(at[0]), Integer.parseInt(at[1]));
        robot.mousePress(InputEvent.BUTTON1_DOWN_MASK);
        robot.mouseRelease(InputEvent.BUTTON1_DOWN_MASK);
    }
}
