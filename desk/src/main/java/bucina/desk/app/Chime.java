package bucina.desk.app;

import javax.sound.sampled.AudioFormat;
import javax.sound.sampled.AudioSystem;
import javax.sound.sampled.LineUnavailableException;
import javax.sound.sampled.SourceDataLine;

/** Three rising tones, loud enough for a garage; silent where the machine has no sound. */
final class Chime {

    private static final float RATE = 22_050;
    private static final double[] TONES = {660, 880, 1175};
    private static final int EACH = 5_500;

    private Chime() {}

    /** Plays it on a thread of its own. */
    static void ring() {
        Thread.ofPlatform().daemon().name("chime").start(Chime::play);
    }

    private static void play() {
        AudioFormat format = new AudioFormat(RATE, 16, 1, true, false);
        try (SourceDataLine line = AudioSystem.getSourceDataLine(format)) {
            line.open(format);
            line.start();
            byte[] tones = tones();
            line.write(tones, 0, tones.length);
            line.drain();
        } catch (LineUnavailableException | IllegalArgumentException e) {
            // No sound here: the alarm stands across the window all the same.
        }
    }

    private static byte[] tones() {
        byte[] samples = new byte[TONES.length * EACH * 2];
        for (int i = 0; i < TONES.length * EACH; i++) {
            int at = i % EACH;
            double fade = Math.min(1, Math.min(at, EACH - at) / 300.0);
            short value = (short) (fade * 22_000 * Math.sin(2 * Math.PI * TONES[i / EACH] * at / RATE));
            samples[2 * i] = (byte) value;
            samples[2 * i + 1] = (byte) (value >> 8);
        }
        return samples;
    }
}
