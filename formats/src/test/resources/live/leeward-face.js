// stands in for the element, which the page's build makes
