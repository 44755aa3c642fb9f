package org.nineveils.setting;

/**
 * What is done for each type of setting. Whoever tells types apart does it here, so that a new one
 * does not compile until everybody knows it.
 */
public interface SettingVisitor<R> {
  R number(NumberSetting setting);

  R curve(CurveSetting setting);

  R colours(ColoursSetting setting);

  R choice(ChoiceSetting setting);

  R picture(PictureSetting setting);
}
