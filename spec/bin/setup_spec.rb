# frozen_string_literal: true

require "spec_helper"
require "json"
require "open3"
require "tmpdir"

# What a bare Debian 12 needs of the lock files and the shell functions behind bin/start.
RSpec.describe "setting up a machine" do
  def node_of_debian = Gem::Version.new("18.20")

  # Whether a range such as ">= 10", "^18 || >=20.9" or "14 - 16" takes the distribution's Node.
  def takes?(range)
    range.split("||").any? do |part|
      bounds = part.scan(/([<>^~=]*)\s*v?(\d+(?:\.\d+)*)/)
      bounds.all? { |sign, version| within?(sign, Gem::Version.new(version)) }
    end
  end

  def within?(sign, version)
    case sign
    when "<", "<=" then node_of_debian < version
    when "^", "~" then node_of_debian >= version && node_of_debian.segments.first == version.segments.first
    else node_of_debian >= version
    end
  end

  def in_shell(script, **env)
    Open3.capture2e(env.transform_keys(&:to_s), "bash", "-c", "source bin/lib.sh; #{script}", chdir: HOUSE)
  end

  it "locks no npm package that wants a newer Node than the distribution has" do
    lock = JSON.parse(File.read(File.join(HOUSE, "package-lock.json")))
    wanted =
      lock["packages"].filter_map { |name, facts| [name, facts.dig("engines", "node")] if facts.dig("engines", "node") }
    aggregate_failures do
      expect(wanted.size).to be > 20
      expect(wanted.reject { |_, range| takes?(range) }).to be_empty
      expect([takes?(">= 20"), takes?("^14 || >=16.9"), takes?(">=20 <22")]).to eq [false, true, false]
    end
  end

  it "ends a failing step with one sentence and the name of its log" do
    Dir.mktmpdir do |dir|
      output, status = in_shell("step #{dir}/step.log 'The tea could not be made.' bash -c 'echo a long story; exit 3'")
      aggregate_failures do
        expect(status).not_to be_success
        expect(output.strip).to eq "The tea could not be made. The whole story is in #{dir}/step.log."
        expect(File.read("#{dir}/step.log")).to eq "a long story\n"
      end
    end
  end

  it "waits while another apt-get holds the lock, and gives up on any other fault" do
    Dir.mktmpdir do |dir|
      fake = File.join(dir, "apt-get")
      File.write(fake, <<~SH, perm: 0o755)
        #!/bin/bash
        echo once >> #{dir}/tries
        [ "$(wc -l < #{dir}/tries)" -ge 3 ] && exit 0
        echo "E: ${FAULT:-Could not get lock /var/lib/dpkg/lock-frontend}"; exit 100
      SH
      _, waited = in_shell("apt install -y tea", APT_GET: fake, APT_PAUSE: "0")
      tries = File.readlines("#{dir}/tries").size
      File.delete("#{dir}/tries")
      output, gave_up =
        in_shell("apt install -y tea", APT_GET: fake, APT_PAUSE: "0", FAULT: "Unable to locate package tea")
      aggregate_failures do
        expect([waited.success?, tries]).to eq [true, 3]
        expect([gave_up.success?, File.readlines("#{dir}/tries").size]).to eq [false, 1]
        expect(output).to include "Unable to locate package tea"
      end
    end
  end
end
