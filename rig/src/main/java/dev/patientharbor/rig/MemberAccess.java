package dev.patientharbor.rig;

import dev.patientharbor.texts.JavaName;
import java.lang.reflect.AccessibleObject;
import java.lang.reflect.InaccessibleObjectException;
import java.lang.reflect.Member;

/** Opens members of the user's classes, which may be private. */
final class MemberAccess {

    private MemberAccess() {}

    /**
     * Opens a member.
     *
     * @throws RigException if its module does not allow it, with what to do
     */
    static <T extends AccessibleObject & Member> T open(T member) {
        try {
            member.setAccessible(true);
            return member;
        } catch (InaccessibleObjectException closed) {
            Class<?> owner = member.getDeclaringClass();
            Module ours = MemberAccess.class.getModule();
            throw new RigException(
                    JavaName.of(owner)
                            + " is in the module "
                            + owner.getModule().getName()
                            + ", which does not open it: write 'opens "
                            + owner.getPackageName()
                            + (ours.isNamed() ? " to " + ours.getName() : "")
                            + ";' in its module-info.java, or run with --add-opens "
                            + owner.getModule().getName()
                            + "/"
                            + owner.getPackageName()
                            + "="
                            + (ours.isNamed() ? ours.getName() : "ALL-UNNAMED"),
                    closed);
        }
    }
}
