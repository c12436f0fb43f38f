# frozen_string_literal: true

require "spec_helper"
require "fileutils"
require "open3"
require "pg"

# The project's own database cluster: nothing that holds data is deleted by whatever starts it.
RSpec.describe "bin/postgres" do
  around do |example|
    @name = "trial#{Process.pid}"
    example.run
  ensure
    postgres("stop")
    FileUtils.rm_rf([home, secret, "#{HOUSE}/tmp/#{@name}.lock"] + Dir["#{secret}.before.*"])
  end

  def postgres(*words)
    Open3.capture2e({ "POSTGRES_NAME" => @name, "DATABASE_URL" => nil }, "bin/postgres", *words, chdir: HOUSE)
  end

  def secret = "#{HOUSE}/tmp/#{@name}.secret"
  def data = @data ||= postgres("data").first.strip
  def home = File.dirname(data)

  def ask(sql)
    connection = PG.connect("#{postgres('url').first.strip}/postgres")
    connection.exec(sql).values
  ensure
    connection&.close
  end

  it "keeps a database whose password is lost, says so, gives it a new one, and starts it with all that was in it" do
    expect(postgres("start").last).to be_success
    ask("CREATE TABLE kept AS SELECT 7 AS n")
    postgres("stop")
    File.delete(secret)

    output, status = postgres("start")
    expect(status).not_to be_success
    expect(output).to include("#{@name}.secret", data, "POSTGRES_NAME=#{@name} bin/postgres password")
    expect(File).to exist("#{data}/PG_VERSION")

    expect(postgres("password").last).to be_success
    expect(postgres("start").last).to be_success
    expect(ask("SELECT n FROM kept")).to eq [["7"]]
  end

  it "starts again after the server was killed, and leaves a folder alone that is no database" do
    postgres("start")
    ask("CREATE TABLE kept AS SELECT 7 AS n")
    Process.kill("KILL", File.read("#{data}/postmaster.pid").lines.first.to_i)
    sleep 0.05 while postgres("status").last.success?
    expect(postgres("start").last).to be_success
    expect(ask("SELECT n FROM kept")).to eq [["7"]]

    postgres("stop")
    FileUtils.mv("#{data}/PG_VERSION", "#{data}/elsewhere")
    output, status = postgres("start")
    expect(status).not_to be_success
    expect(output).to include "no PG_VERSION"
    expect(File).to exist("#{data}/elsewhere")
  end
end
