# frozen_string_literal: true

require "json"
require "open3"

# The device's own modules outside a page: bundled for a browser that is told to run them, or run by node.
module DeviceScripts
  module_function

  # A script after which the browser knows the exports of modules of app/: Room.View of bundle("Room", "room/view").
  def bundle(name, *modules)
    @bundles ||= {}
    @bundles[[name, *modules]] ||= built(name, modules)
  end

  # What `exports` makes of a value, as node runs it: an expression over `given` and the modules' exports.
  def run(modules, expression, given)
    imports = modules.map { |path| "import * as #{path.gsub('/', '__')} from '#{HOUSE}/app/#{path}.js';" }
    source = <<~JS
      #{imports.join("\n")}
      import { readFileSync } from "node:fs";
      const given = JSON.parse(readFileSync(0, "utf8"));
      process.stdout.write(JSON.stringify(#{expression}));
    JS
    output, error, status = Open3.capture3("node", "--input-type=module", "-e", source, stdin_data: given.to_json)
    status.success? ? JSON.parse(output) : raise(error)
  end

  def built(name, modules)
    source = modules.map { |path| "export * from './app/#{path}.js';" }.join("\n")
    command = [File.join(HOUSE, "node_modules/.bin/esbuild"), "--bundle", "--format=iife", "--global-name=#{name}",
               "--log-level=warning"]
    output, error, status = Open3.capture3(*command, stdin_data: source, chdir: HOUSE)
    # A page's own scope ends with the call: the name has to be the window's.
    status.success? ? "#{output}\nwindow.#{name} = #{name};" : raise(error)
  end
  private_class_method :built
end
