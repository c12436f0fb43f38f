window.policyViolations = [];
document.addEventListener("securitypolicyviolation", event =>
  window.policyViolations.push(`${event.violatedDirective}: ${event.blockedURI}`),
);
