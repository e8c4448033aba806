# frozen_string_literal: true

require "test_helper"
require "open3"
require "tmpdir"
require "locale/made_up"

# Everything that is said to people comes from the locale: in a locale that no land has, nothing is left in English.
class MadeUpLocaleTest < EarnestFoldTest
  def test_nothing_is_said_but_by_the_locale
    Dir.mktmpdir do |folder|
      file = File.join(folder, "xx.yml")
      MadeUp.write(root("config/locales/en.yml"), file)
      told, status = Open3.capture2e({"EARNEST_FOLD_LOCALE" => file}, RbConfig.ruby, "-Ilib", "-Itest",
        root("test/locale/walk.rb"), chdir: root("."))
      assert status.success?, told
      assert_operator told[/^WALKED (\d+)/, 1].to_i, :>, 100, told
      assert_empty told.scan(/^LATIN .*/), "still in English"
      help = Open3.capture2e({"EARNEST_FOLD_LOCALE" => file}, root("bin/earnest-fold"), "help").first
      assert_match(/^earnest-fold near FILE …\s+хош неар/, help)
      refute_match(/[A-Za-z]{2,}/, help.gsub(/^earnest-fold \w+( FILE)?|JSON|\.fold\.json/i, ""))
    end
  end

  # Languages count otherwise than English does.
  def test_each_language_counts_by_its_own_rule
    locale = EarnestFold::Words::Locale
    few = {1 => "one", 2 => "few", 4 => "few", 5 => "many", 11 => "many", 12 => "many", 22 => "few", 25 => "many"}
    assert_equal few, few.to_h { |number, _| [number, locale.form("one_few_many", %w[one few many], number.to_r)] }
    told = [1r, 1/2r, 3/2r, 0r].map { |number| locale.form("one_other", %w[width widths], number) }
    assert_equal %w[width width widths widths], told
    assert_equal "x", locale.form("other", ["x"], 7r)
  end
end
